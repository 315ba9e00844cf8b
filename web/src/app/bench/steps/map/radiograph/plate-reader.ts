import { Injectable } from '@angular/core'
import { AskedWorker } from '../../../../common/asked-worker'
import type { PlateAnswers, PlateAsked } from './plate-work'

/** Has radiographs opened and windowed in a worker of its own. */
@Injectable({ providedIn: 'root' })
export class PlateReader extends AskedWorker<PlateAsked, PlateAnswers> {
  protected started = (): Worker => new Worker(new URL('./plate.worker', import.meta.url), { type: 'module' })
}
