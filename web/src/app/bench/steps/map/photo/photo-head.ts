import { FILE_WORDS, FOCAL_TAG, focalSaid, isHeic, MOST_PIXELS } from '@crescent/core/photographs'
import { imageSize } from 'image-size'

/** What the head of a photograph's file says, or why it cannot be used. */
export type PhotoHead = { ok: true; focal35?: number } | { ok: false; problem: string }

const KINDS = ['jpg', 'png', 'webp']
/** The head of a file: camera tags and size stand in its first part. */
export const HEAD_BYTES = 512 * 1024

/**
 * Looks at the head of a file before its picture is unpacked: a small file may hold a picture that fills all memory.
 *
 * @param head its first {@link HEAD_BYTES}
 */
export async function photoHead(head: Uint8Array): Promise<PhotoHead> {
  if (isHeic(head)) return { ok: false, problem: FILE_WORDS.heic }
  const size = sizeOf(head)
  if (!size) return { ok: false, problem: FILE_WORDS.other }
  const pixels = size.width * size.height
  if (pixels > MOST_PIXELS) return { ok: false, problem: FILE_WORDS.large(pixels) }
  const focal35 = await focalOf(head)
  return { ok: true, ...(focal35 !== undefined && { focal35 }) }
}

function sizeOf(head: Uint8Array): { width: number; height: number } | undefined {
  try {
    const { type, width, height } = imageSize(head)
    return KINDS.includes(type ?? '') && width > 0 && height > 0 ? { width, height } : undefined
  } catch {
    return undefined
  }
}

/** Read where there is a photograph: what reads tags is fetched then. */
async function focalOf(head: Uint8Array): Promise<number | undefined> {
  const { default: exifr } = await import('exifr')
  const tags = (await exifr
    .parse(head, { pick: [FOCAL_TAG], translateKeys: false })
    .catch(() => undefined)) as Record<number, unknown> | undefined
  return focalSaid(tags?.[FOCAL_TAG])
}
