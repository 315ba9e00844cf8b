import { Injectable } from '@angular/core'
import { BesidePage } from '../../../common/beside-page'
import { triedBends, type AskedBends, type Tried } from './tried-bends'

/** Plans bends beside the page, so that typing and stepping go on meanwhile. */
@Injectable({ providedIn: 'root' })
export class BendPlanner extends BesidePage<AskedBends, Tried> {
  protected started = (): Worker => new Worker(new URL('./bends.worker', import.meta.url), { type: 'module' })
  protected onPage = triedBends
}
