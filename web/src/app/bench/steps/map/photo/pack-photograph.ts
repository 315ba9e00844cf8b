import type { KeptJpeg } from '../../../../common/kept-jpeg'
import { photoHead } from './photo-head'
import type { PhotoTracer } from './photo-tracer'

/** The kinds of files a photograph is read from. */
export const PHOTOGRAPH_FILES = 'image/jpeg,image/png,image/webp'

/** Packs a photograph to be kept: upright, without the tags of its camera; or says why it cannot be. */
export async function packPhotograph(
  tracer: PhotoTracer,
  file: File,
): Promise<({ ok: true } & KeptJpeg) | { ok: false; problem: string }> {
  const head = await photoHead(file)
  if (!head.ok) return head
  const opened = await tracer.ask({ do: 'open', file })
  return opened.ok ? tracer.ask({ do: 'keep' }) : opened
}
