import { inject } from '@angular/core'
import { Actions, createEffect, ofType } from '@ngrx/effects'
import {
  catchError,
  defer,
  exhaustMap,
  expand,
  EMPTY,
  filter,
  fromEvent,
  map,
  merge,
  type Observable,
  of,
  race,
  retry,
  take,
  throwError,
  timer,
} from 'rxjs'
import { Tells } from '../../common/tells'
import { Api, conflictOf, failureText, isPassing, type Shoeing } from '../api'
import { forgetDraft } from '../bench/kept-drafts'
import { recordsActions } from '../records/records.feature'
import { forgetWaiting, waitingSaves, type WaitingSave } from './waiting-saves'

type Answered = ReturnType<typeof recordsActions.waitingSaved | typeof recordsActions.waitingRefused>

/** Until the next try, ms; at once where the browser says that it has a network again. */
const later = (tries: number): Observable<unknown> =>
  race(timer(Math.min(30_000, 1_500 * 2 ** (tries - 1))), fromEvent(window, 'online').pipe(take(1)))

/** What waits goes out by itself, one after the other: what was left by a page before this one too. */
export const sendWaiting = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    merge(of(true), actions.pipe(ofType(recordsActions.saveWaits))).pipe(
      filter(() => waitingSaves().length > 0),
      exhaustMap(() => next(api).pipe(expand(() => next(api)))),
    ),
  { functional: true },
)

/** The oldest of them, sent again for as long as the server is away; nothing where none is left. */
const next = (api: Api): Observable<Answered> =>
  defer(() => {
    const [save] = waitingSaves()
    if (!save) return EMPTY
    return api.putShoeing(save.shoeing).pipe(
      map((stored) => answered(save, stored)),
      catchError((error: unknown) => (isPassing(error) ? throwError(() => error) : of(refused(save, error)))),
    )
  }).pipe(retry({ delay: (_error, tries) => later(tries) }))

function answered(save: WaitingSave, stored: Shoeing): Answered {
  forgetWaiting(save)
  forgetDraft(save.visitId, save.side, save.work)
  return recordsActions.waitingSaved({ save, stored })
}

function refused(save: WaitingSave, error: unknown): Answered {
  forgetWaiting(save)
  const stale = conflictOf<Partial<Shoeing>>(error)
  return recordsActions.waitingRefused({ save, failure: failureText(error), ...(stale && { stale }) })
}

export const tellWaiting = createEffect(
  (actions = inject(Actions), tells = inject(Tells)) =>
    actions.pipe(
      ofType(recordsActions.saveWaits, recordsActions.waitingSaved, recordsActions.waitingRefused),
      map((action) => {
        if (action.type === recordsActions.saveWaits.type)
          return void tells.warn('Not stored yet: the server does not answer. It is sent by itself.')
        const { horse, side, shoeing } = action.save
        if (action.type === recordsActions.waitingSaved.type)
          return void tells.done(`Stored now: ${horse} ${side}, ${shoeing.pattern.name}`, 5_000)
        const why = action.stale ? 'It was changed elsewhere meanwhile.' : action.failure
        return void tells.warn(`Not stored: ${horse} ${side}. ${why} The work is kept on its Bench.`)
      }),
    ),
  { functional: true, dispatch: false },
)
