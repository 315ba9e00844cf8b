import type { Picture } from '@crescent/core/photographs'

/** Unpacks a picture in a worker, turned upright as its camera says. */
export async function decodedPicture(file: Blob): Promise<Picture> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
  const { width, height } = bitmap
  const canvas = new OffscreenCanvas(width, height)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.drawImage(bitmap, 0, 0)
  bitmap.close()
  return { width, height, data: context.getImageData(0, 0, width, height).data }
}
