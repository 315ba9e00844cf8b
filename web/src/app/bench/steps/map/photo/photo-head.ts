import { FILE_WORDS, FOCAL_TAG, focalSaid, MOST_PIXELS, unreadPicture } from '@crescent/core/photographs'
import { imageSize } from 'image-size'

/** What the head of a photograph's file says, or why it cannot be used. */
export type PhotoHead = { ok: true; focal35?: number } | { ok: false; problem: string }

const KINDS = ['jpg', 'png', 'webp']
/** Camera tags and size stand in the first part of a file, bytes; only long notes come before them. */
const HEAD = 512 * 1024
/** Further than this no size is looked for. */
const MOST_NOTES = 32 * 1024 * 1024

/** Looks at the head of a file before its picture is unpacked: a small file may hold a picture that fills all memory. */
export async function photoHead(file: Blob): Promise<PhotoHead> {
  const head = await bytesOf(file, HEAD)
  const unread = unreadPicture(head)
  if (unread) return { ok: false, problem: unread }
  const size = sizeOf(head) ?? (file.size > HEAD ? sizeOf(await bytesOf(file, MOST_NOTES)) : undefined)
  if (!size) return { ok: false, problem: FILE_WORDS.other }
  const pixels = size.width * size.height
  if (pixels > MOST_PIXELS) return { ok: false, problem: FILE_WORDS.large(pixels) }
  const focal35 = await focalOf(head)
  return { ok: true, ...(focal35 !== undefined && { focal35 }) }
}

const bytesOf = async (file: Blob, most: number): Promise<Uint8Array> =>
  new Uint8Array(await file.slice(0, most).arrayBuffer())

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
