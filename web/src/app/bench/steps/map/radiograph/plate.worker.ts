/// <reference lib="webworker" />
import { answersAsked } from '../../../../common/asked-worker-side'
import { decodedPicture } from '../../../../common/decoded-picture'
import { packedPicture } from '../../../../common/packed-picture'
import { PlateWorker } from './plate-work'

const works = new PlateWorker({
  decoded: decodedPicture,
  packed: packedPicture,
  drawn: (rgba, width, height) =>
    createImageBitmap(new ImageData(rgba as Uint8ClampedArray<ArrayBuffer>, width, height)),
  locate: (file) => `/decoders/${file}`,
})
answersAsked(works.answer.bind(works))
