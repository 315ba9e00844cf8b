/// <reference lib="webworker" />
import { answersAsked } from '../../../../common/asked-worker-side'
import { decodedPicture } from '../../../../common/decoded-picture'
import { PhotoWorker } from './photo-work'

const works = new PhotoWorker(decodedPicture)
answersAsked(works.answer.bind(works))
