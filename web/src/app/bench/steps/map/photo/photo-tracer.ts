import { Injectable } from '@angular/core'
import { AskedWorker } from '../../../../common/asked-worker'
import type { PhotoAnswers, PhotoAsked } from './photo-work'

/** Has a photograph worked on in a worker of its own. */
@Injectable()
export class PhotoTracer extends AskedWorker<PhotoAsked, PhotoAnswers> {
  protected started = (): Worker => new Worker(new URL('./photo.worker', import.meta.url), { type: 'module' })
}
