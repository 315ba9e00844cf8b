import { inject, Injectable } from '@angular/core'
import { Router } from '@angular/router'
import { Store } from '@ngrx/store'
import { Dialogs } from '../../../common/dialogs'
import { Tells } from '../../../common/tells'
import { recordsActions } from '../../../state/records/records.feature'
import type { AgainAnswer, AgainDialogData } from './again-dialog'

/** All four feet as last time, asked for from the Round, the horse or the Bench: one confirmation, one save. */
@Injectable({ providedIn: 'root' })
export class ShoeAgain {
  private readonly dialogs = inject(Dialogs)
  private readonly router = inject(Router)
  private readonly store = inject(Store)
  private readonly tells = inject(Tells)

  /**
   * Asks what is done to each foot, stores it and goes to the visit.
   *
   * @param day the day of a visit that begins with it
   */
  ask(horse: { id: string; name: string }, day: string): void {
    void this.dialogs
      .ask<AgainAnswer, AgainDialogData>(() => import('./again-dialog').then((m) => m.AgainDialog), {
        data: { horse, day },
        width: '640px',
      })
      .then((answer) => {
        if (!answer) return
        if (answer === 'look')
          return this.store.dispatch(recordsActions.startVisit({ horseId: horse.id, date: day }))
        const { visit, feet, told } = answer
        this.store.dispatch(recordsActions.severalStored({ visit, feet }))
        void this.tells.done(told)
        // On its Bench already: the foot and the step that are open stay.
        if (!this.router.url.startsWith(`/bench/${visit.id}/`))
          void this.router.navigate(['/bench', visit.id, 'LF'])
      })
  }
}
