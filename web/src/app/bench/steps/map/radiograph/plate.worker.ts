/// <reference lib="webworker" />
import { answersAsked } from '../../../../common/asked-worker-side'
import { decodedPicture } from '../../../../common/decoded-picture'
import { PlateWorker } from './plate-work'

async function packed(rgba: Uint8ClampedArray, width: number, height: number): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height)
  canvas
    .getContext('2d')!
    .putImageData(new ImageData(rgba as Uint8ClampedArray<ArrayBuffer>, width, height), 0, 0)
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 })
}

const works = new PlateWorker({ decoded: decodedPicture, packed, locate: (file) => `/decoders/${file}` })
answersAsked(works.answer.bind(works))
