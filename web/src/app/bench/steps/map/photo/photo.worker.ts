/// <reference lib="webworker" />
import type { Picture } from '@crescent/core/photographs'
import { PhotoWorker, type PhotoAsked } from './photo-work'

/** Unpacks a photograph, turned upright as its camera says. */
async function decoded(file: Blob): Promise<Picture> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
  const { width, height } = bitmap
  const canvas = new OffscreenCanvas(width, height)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.drawImage(bitmap, 0, 0)
  bitmap.close()
  return { width, height, data: context.getImageData(0, 0, width, height).data }
}

const works = new PhotoWorker(decoded)

/** Works on a photograph beside the page, and says how far it has come. */
addEventListener('message', ({ data }: MessageEvent<{ id: number; asked: PhotoAsked }>) => {
  const { id, asked } = data
  void works
    .answer(asked, (progress) => postMessage({ id, progress }))
    .catch(() => ({ ok: false, problem: 'The photograph could not be worked on.' }))
    .then((answer) => postMessage({ id, answer }))
})
