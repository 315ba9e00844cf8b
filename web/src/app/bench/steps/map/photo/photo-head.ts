import { MOST_PIXELS } from '@crescent/core/photographs'
import { imageSize } from 'image-size'

/** What the head of a photograph's file says, or why it cannot be used. */
export type PhotoHead = { ok: true; focal35?: number } | { ok: false; problem: string }

const KINDS = ['jpg', 'png', 'webp']
const HEIC = /^ftyp(heic|heix|hevc|heim|heis|mif1|msf1|heif)/
/** The head of a file: camera tags and size stand in its first part. */
export const HEAD_BYTES = 512 * 1024

/**
 * Looks at the head of a file before its picture is unpacked: a small file may hold a picture that fills all memory.
 *
 * @param head its first {@link HEAD_BYTES}
 */
export async function photoHead(head: Uint8Array): Promise<PhotoHead> {
  if (HEIC.test(String.fromCharCode(...head.subarray(4, 12))))
    return {
      ok: false,
      problem:
        'This is an HEIC photograph, which is not read here: set the camera to “most compatible” (JPEG), or send it to yourself by mail, which makes a JPEG of it.',
    }
  const size = sizeOf(head)
  if (!size) return { ok: false, problem: 'This is no photograph: JPEG, PNG and WebP are read.' }
  const pixels = size.width * size.height
  if (pixels > MOST_PIXELS)
    return {
      ok: false,
      problem: `The picture has ${Math.round(pixels / 1e6)} million pixels; at most ${MOST_PIXELS / 1e6} million are read. Make it smaller.`,
    }
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

/** The focal length as on 35 mm film: its number among the tags of a camera (Exif 2.3). */
const FOCAL = 0xa405

/** What the camera wrote of its lens; nothing where it wrote nothing that can be. */
async function focalOf(head: Uint8Array): Promise<number | undefined> {
  const { default: exifr } = await import('exifr')
  const tags = (await exifr.parse(head, { pick: [FOCAL], translateKeys: false }).catch(() => undefined)) as
    Record<number, unknown> | undefined
  const focal = tags?.[FOCAL]
  return typeof focal === 'number' && focal >= 8 && focal <= 400 ? focal : undefined
}
