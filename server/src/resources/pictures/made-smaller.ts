import type { StoredPicture } from '@crescent/core'
import pLimit from 'p-limit'
import { MOST_PIXELS } from './kept-picture'

/** How a picture is packed that is only looked at in a list, or was thinned out. */
interface Packing {
  /** Its longer side at most, pixels. */
  wide: number
  quality: number
}
export const THUMBNAIL: Packing = { wide: 320, quality: 70 }
export const THINNED: Packing = { wide: 1000, quality: 75 }

/** So many are unpacked at once: the four threads that do it read the screens' files too. */
const places = pLimit(2)

/** A JPEG file made smaller, with its size; one that is smaller already stays as large as it is. */
export async function madeSmaller(
  file: Buffer,
  { wide, quality }: Packing,
): Promise<{ file: Buffer; width: number; height: number }> {
  return places(async () => {
    // Only who looks at pictures waits for what unpacks them.
    const { default: sharp } = await import('sharp')
    const { data, info } = await sharp(file, { limitInputPixels: MOST_PIXELS })
      .resize({ width: wide, height: wide, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality })
      .toBuffer({ resolveWithObject: true })
    return { file: data, width: info.width, height: info.height }
  })
}

/** A picture thinned out: coarser, with everything that was marked on it where it was, to the same scale. */
export async function thinned(picture: StoredPicture): Promise<StoredPicture> {
  const small = await madeSmaller(Buffer.from(picture.file, 'base64'), THINNED)
  const [across, down] = [small.width / picture.width, small.height / picture.height]
  return {
    ...picture,
    ...{ width: small.width, height: small.height, file: small.file.toString('base64') },
    mmPerPixel: picture.mmPerPixel === null ? null : picture.mmPerPixel / across,
    marks: Object.fromEntries(
      Object.entries(picture.marks).map(([key, [x, y]]) => [key, [x * across, y * down] as [number, number]]),
    ),
  }
}
