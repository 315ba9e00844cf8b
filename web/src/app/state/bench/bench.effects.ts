import { inject } from '@angular/core'
import { Router } from '@angular/router'
import { SIDES, type VisitPage } from '@crescent/core'
import { Actions, createEffect, ofType } from '@ngrx/effects'
import { concatLatestFrom } from '@ngrx/operators'
import { Store } from '@ngrx/store'
import {
  catchError,
  debounceTime,
  distinctUntilChanged,
  filter,
  fromEvent,
  map,
  merge,
  of,
  switchMap,
  take,
  tap,
} from 'rxjs'
import { Tells } from '../../common/tells'
import { Api, failureText, isGone, isPassing } from '../api'
import type { History } from '../history'
import { browserStore } from '../browser-store'
import { recordsActions } from '../records/records.feature'
import { settingsActions } from '../settings/settings.feature'
import { benchActions, benchFeature } from './bench.feature'
import type { Step } from './draft'
import { keepDrafts, keptDrafts } from './kept-drafts'
import { keepPage, keptPage } from './kept-page'
import { waitingSides } from '../waiting/waiting-saves'

/** Where this browser keeps what can be taken back, for the visit it worked on last. */
const HISTORY_KEY = 'bench.history'
/** More steps than this are not kept through a reload: the browser's store is small. */
const KEPT_STEPS = 60

/** What can be taken back, and what can be done again. */
type KeptHistory = Pick<History<Step>, 'past' | 'future'>

function keptHistory(visitId: string): { history?: KeptHistory } {
  const kept = browserStore.read<KeptHistory & { visitId: string }>(HISTORY_KEY)
  return kept?.visitId === visitId ? { history: { past: kept.past, future: kept.future } } : {}
}

/** The page of a visit with the work that this browser keeps on it. */
const openedWith = (page: VisitPage) =>
  benchActions.opened({
    page,
    kept: keptDrafts(page.visit.id),
    waiting: waitingSides(page.visit.id),
    ...keptHistory(page.visit.id),
  })

export const openVisit = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store), tells = inject(Tells)) =>
    actions.pipe(
      ofType(benchActions.open),
      concatLatestFrom(() => store.select(benchFeature.selectPage)),
      filter(([{ visitId }, page]) => page?.visit.id !== visitId),
      switchMap(([{ visitId }]) =>
        api.visitPage(visitId).pipe(
          map((page) => openedWith(page)),
          catchError((error: unknown) => {
            const page = isPassing(error) ? keptPage(visitId) : undefined
            if (!page)
              return of(benchActions.openFailed({ failure: failureText(error), gone: isGone(error) }))
            void tells.warn('The server does not answer: this is the visit as this browser keeps it.')
            return of(openedWith(page))
          }),
        ),
      ),
    ),
  { functional: true },
)

/** The Bench must not lead again and again to a visit that is not there. */
export const forgetVisit = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(benchActions.openFailed),
      filter(({ gone }) => gone),
      map(() => settingsActions.change({ changes: { lastVisit: null } })),
    ),
  { functional: true },
)

export const rememberVisit = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(benchActions.opened),
      map(({ page }) => settingsActions.change({ changes: { lastVisit: page.visit.id } })),
    ),
  { functional: true },
)

/** A visit that was taken back is left for its horse. */
export const leaveTakenBack = createEffect(
  (actions = inject(Actions), router = inject(Router)) =>
    actions.pipe(
      ofType(benchActions.visitChanged),
      filter(({ visit }) => visit.archived),
      tap(({ visit }) => void router.navigate(['/stable', visit.horseId])),
      map(() => settingsActions.change({ changes: { lastVisit: null } })),
    ),
  { functional: true },
)

/** A horse whose page was opened before its visit was stored is read once more: it would show the visit as it was. */
export const horseReadAgain = createEffect(
  (actions = inject(Actions), router = inject(Router)) =>
    actions.pipe(
      ofType(benchActions.visitChanged),
      filter(({ visit }) => router.url.startsWith(`/stable/${visit.horseId}`)),
      map(({ visit }) => recordsActions.openHorse({ id: visit.horseId })),
    ),
  { functional: true },
)

/** What is unsaved survives a reload: kept shortly after each change, and at once when the page is left. */
export const keepUnsaved = createEffect(
  (store = inject(Store)) => {
    const bench = store.select(benchFeature.selectBenchState)
    const leaving = merge(fromEvent(window, 'pagehide'), fromEvent(document, 'visibilitychange'))
    // Another window may keep work on the same visit: only what this one put there is taken away again.
    const mine = new Set<string>()
    return merge(bench.pipe(debounceTime(120)), leaving.pipe(switchMap(() => bench.pipe(take(1))))).pipe(
      tap(({ page, drafts }) => {
        if (page && drafts) keepDrafts(page.visit.id, drafts, mine)
      }),
    )
  },
  { functional: true, dispatch: false },
)

/** With unsaved work its page is kept too: it can be reached while the server is away. */
export const keepPageOfWork = createEffect(
  (store = inject(Store)) =>
    store.select(benchFeature.selectBenchState).pipe(
      debounceTime(300),
      filter(({ page }) => page !== null),
      map(({ page, drafts, pending }) => ({
        page: page!,
        unsaved: pending.length > 0 || SIDES.some((side) => drafts?.[side].dirty),
      })),
      distinctUntilChanged((a, b) => a.page === b.page && a.unsaved === b.unsaved),
      tap(({ page, unsaved }) => keepPage(page, unsaved)),
    ),
  { functional: true, dispatch: false },
)

/** What can be taken back survives a reload too. */
export const keepHistory = createEffect(
  (store = inject(Store)) => {
    const bench = store.select(benchFeature.selectBenchState)
    const leaving = fromEvent(window, 'pagehide')
    return merge(bench.pipe(debounceTime(300)), leaving.pipe(switchMap(() => bench.pipe(take(1))))).pipe(
      filter(({ page }) => page !== null),
      map(({ page, past, future }) => ({ visitId: page!.visit.id, past, future })),
      distinctUntilChanged((a, b) => a.past === b.past && a.future === b.future && a.visitId === b.visitId),
      tap(({ visitId, past, future }) =>
        browserStore.write(HISTORY_KEY, {
          visitId,
          past: past.slice(-KEPT_STEPS),
          future: future.slice(-KEPT_STEPS),
        }),
      ),
    )
  },
  { functional: true, dispatch: false },
)

export const tell = createEffect(
  (actions = inject(Actions), tells = inject(Tells)) =>
    actions.pipe(
      ofType(
        benchActions.saved,
        benchActions.severalSaved,
        benchActions.saveFailed,
        benchActions.visitChanged,
        benchActions.visitWaits,
        benchActions.visitRefused,
      ),
      tap((action) => {
        if (action.type === benchActions.saved.type) void tells.done(`Saved: ${action.pattern.name}`)
        else if (action.type === benchActions.severalSaved.type)
          void tells.done(`Saved: ${action.stored.feet.map(({ record }) => record.side).join(', ')}`)
        else if (action.type === benchActions.visitChanged.type) {
          if (action.told) void tells.done(action.told)
        } else if (action.type === benchActions.visitWaits.type)
          void tells.warn('Not stored yet: the server does not answer. It is sent again by itself.')
        else void tells.warn(`Not saved. ${action.failure}`)
      }),
    ),
  { functional: true, dispatch: false },
)
