import { inject } from '@angular/core'
import type { Visit } from '@crescent/core'
import { Actions, createEffect, ofType } from '@ngrx/effects'
import { concatLatestFrom } from '@ngrx/operators'
import { Store } from '@ngrx/store'
import {
  catchError,
  concatMap,
  defer,
  distinctUntilChanged,
  first,
  map,
  mergeMap,
  type Observable,
  of,
  retry,
  switchMap,
  take,
  tap,
  throwError,
  timer,
} from 'rxjs'
import { Api, conflictOf, failureText, isPassing } from '../api'
import { browserStore } from '../browser-store'
import { lookFeature } from '../look/look.feature'
import { benchActions, benchFeature } from './bench.feature'
import { changedVisit, type VisitChanges } from './bench.state'
import { mergedVisit } from './merged-visit'

/**
 * The visit with its changes. One changed in another window meanwhile is no reason to ask: what is changed here is put
 * on top of what is stored there.
 */
export const changeVisit = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(benchActions.changeVisit),
      concatLatestFrom(() => store.select(benchFeature.selectPage)),
      // The visit as it is when this change has its turn: the one before it has been answered by then.
      concatMap(([{ changes, told = '' }, asked]) =>
        // What was said to a gate is stored first: the server lets no visit past one that nobody has answered.
        store.select(lookFeature.selectLookState).pipe(
          first(({ unsaved, failure, conflict }) => !unsaved || failure !== '' || conflict !== null),
          switchMap(() => store.select(benchFeature.selectPage)),
          take(1),
          // Another visit may lie on the Bench by then.
          map((page) => (page?.visit.id === asked!.visit.id ? page : asked!)),
          switchMap(({ visit }) =>
            storedVisit(visit, changes, api, (failure) =>
              store.dispatch(benchActions.visitWaits({ changes, failure })),
            ),
          ),
          map((visit) => benchActions.visitChanged({ changes, visit, told })),
          catchError((error: unknown) =>
            of(
              benchActions.visitRefused({
                ...{ changes, visitId: asked!.visit.id },
                failure: failureText(error),
              }),
            ),
          ),
        ),
      ),
    ),
  { functional: true },
)

/**
 * Stores what changed of a visit: beside what somebody else changed meanwhile, and again for as long as the server is away.
 *
 * @param waits told why, the first time it could not be sent
 */
const storedVisit = (
  read: Visit,
  changes: VisitChanges,
  api: Api,
  waits: (failure: string) => void,
): Observable<Visit> =>
  defer(() => api.putVisit(changedVisit(read, changes))).pipe(
    catchError((error: unknown) => {
      const theirs = conflictOf<Visit>(error)
      return theirs ? api.putVisit(mergedVisit(read, theirs, changes)) : throwError(() => error)
    }),
    retry({
      delay: (error: unknown, tries: number) => {
        if (!isPassing(error)) return throwError(() => error)
        if (tries === 1) waits(failureText(error))
        return timer(Math.min(30_000, 1_500 * 2 ** (tries - 1)))
      },
    }),
  )

const pendingKey = (visitId: string): string => `visit.${visitId}`

/** What is not stored of a visit yet survives a reload, and is sent again after it. */
export const keepPending = createEffect(
  (store = inject(Store)) =>
    store.select(benchFeature.selectBenchState).pipe(
      map(({ page, pending }) => ({ visitId: page?.visit.id, pending })),
      distinctUntilChanged((a, b) => a.visitId === b.visitId && a.pending === b.pending),
      tap(({ visitId, pending }) => {
        if (visitId !== undefined && pending.length > 0) browserStore.write(pendingKey(visitId), pending)
      }),
    ),
  { functional: true, dispatch: false },
)

/** What was answered waits no more, whichever visit lies on the Bench by then. */
export const forgetSent = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(benchActions.visitChanged, benchActions.visitRefused),
      tap((answer) => {
        const key = pendingKey('visit' in answer ? answer.visit.id : answer.visitId)
        const sent = JSON.stringify(answer.changes)
        const left = (browserStore.read<VisitChanges[]>(key) ?? []).filter(
          (one) => JSON.stringify(one) !== sent,
        )
        if (left.length > 0) browserStore.write(key, left)
        else browserStore.remove(key)
      }),
    ),
  { functional: true, dispatch: false },
)

/** What was not stored before the page was left. */
export const sendPending = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(benchActions.opened),
      mergeMap(({ page }) =>
        (browserStore.read<VisitChanges[]>(pendingKey(page.visit.id)) ?? []).map((changes) =>
          benchActions.changeVisit({ changes, told: 'What had waited is stored' }),
        ),
      ),
    ),
  { functional: true },
)
