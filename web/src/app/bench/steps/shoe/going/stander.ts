import { Injectable } from '@angular/core'
import { BesidePage } from '../../../../common/beside-page'
import { standingOf, type AskedStanding, type Standing } from './stood'

/** Works out beside the page how designs stand in the ground, so that a drag goes on meanwhile. */
@Injectable({ providedIn: 'root' })
export class Stander extends BesidePage<AskedStanding, Standing> {
  protected started = (): Worker => new Worker(new URL('./going.worker', import.meta.url), { type: 'module' })
  protected onPage = standingOf
}
