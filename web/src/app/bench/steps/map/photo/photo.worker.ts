/// <reference lib="webworker" />
import { answersAsked } from '../../../../common/asked-worker-side'
import { decodedPicture } from '../../../../common/decoded-picture'
import { packedPicture } from '../../../../common/packed-picture'
import { PhotoWorker } from './photo-work'

const works = new PhotoWorker({ decoded: decodedPicture, packed: packedPicture })
answersAsked(works.answer.bind(works))
