import { inject } from '@angular/core'
import type { Look } from '@crescent/core'
import { Actions, createEffect, ofType } from '@ngrx/effects'
import { Store } from '@ngrx/store'
import {
  catchError,
  debounceTime,
  defer,
  distinctUntilChanged,
  exhaustMap,
  filter,
  fromEvent,
  map,
  merge,
  of,
  retry,
  switchMap,
  take,
  tap,
  throwError,
  timer,
} from 'rxjs'
import { Api, conflictOf, failureText, isPassing } from '../api'
import { benchActions } from '../bench/bench.feature'
import { browserStore } from '../browser-store'
import { lookActions, lookFeature, type KeptLook } from './look.feature'

/** ms until a look that could not be stored is sent again: longer each time, up to a minute. */
const pause = (tries: number): number => Math.min(60_000, 2_000 * 2 ** (tries - 1))

const keptKey = (visitId: string): string => `look.${visitId}`

/** The visit that comes onto the Bench brings its look, or what this browser still keeps of it. */
export const openLook = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(benchActions.opened),
      map(({ page }) =>
        lookActions.opened({
          visitId: page.visit.id,
          stored: page.look,
          before: page.lookBefore,
          kept: browserStore.read<KeptLook>(keptKey(page.visit.id)),
          newId: crypto.randomUUID(),
        }),
      ),
    ),
  { functional: true },
)

/** Taps are stored by themselves, shortly after the hand has rested; nothing waits for a button. */
export const storeLook = createEffect(
  (store = inject(Store), api = inject(Api)) =>
    store.select(lookFeature.selectLookState).pipe(
      filter(({ unsaved, conflict }) => unsaved && conflict === null),
      map(({ look }) => look!),
      distinctUntilChanged(),
      debounceTime(500),
      exhaustMap((sent) =>
        defer(() => api.putLook(sent)).pipe(
          retry({
            delay: (error: unknown, tries: number) => {
              if (!isPassing(error)) return throwError(() => error)
              store.dispatch(lookActions.saveFailed({ failure: failureText(error) }))
              return timer(pause(tries))
            },
          }),
          map((stored) => lookActions.saved({ sent, stored })),
          catchError((error: unknown) => {
            const current = conflictOf<Look>(error)
            return of(
              current
                ? lookActions.saveRefused({ current })
                : lookActions.saveFailed({ failure: failureText(error) }),
            )
          }),
        ),
      ),
    ),
  { functional: true },
)

/** What is not stored yet survives a reload. */
export const keepLook = createEffect(
  (store = inject(Store)) => {
    const state = store.select(lookFeature.selectLookState)
    // Another window may keep a look at the same visit: only what this one put there is taken away again.
    const mine = new Set<string>()
    const leaving = merge(fromEvent(window, 'pagehide'), fromEvent(document, 'visibilitychange'))
    return merge(state.pipe(debounceTime(120)), leaving.pipe(switchMap(() => state.pipe(take(1))))).pipe(
      tap(({ visitId, look, entries, unsaved }) => {
        if (!visitId || !look) return
        const key = keptKey(visitId)
        if (unsaved || Object.keys(entries).length > 0) {
          browserStore.write(key, { look, entries })
          mine.add(key)
        } else if (mine.delete(key)) browserStore.remove(key)
      }),
    )
  },
  { functional: true, dispatch: false },
)
