import { inject } from '@angular/core'
import { Router } from '@angular/router'
import { type FootInput, type FootRecord, type Pattern, type Side, type VisitPage } from '@crescent/core'
import { Actions, createEffect, ofType } from '@ngrx/effects'
import { concatLatestFrom } from '@ngrx/operators'
import { Store } from '@ngrx/store'
import {
  catchError,
  debounceTime,
  distinctUntilChanged,
  exhaustMap,
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
import { Api, conflictOf, failureText, isGone, type SeveralFeet, type Shoeing, type StaleFeet } from '../api'
import type { History } from '../history'
import { browserStore } from '../browser-store'
import { recordsActions } from '../records/records.feature'
import { settingsActions } from '../settings/settings.feature'
import { benchActions, benchFeature, selectSeen } from './bench.feature'
import type { SaveRequest } from './bench.state'
import { footInput, type Draft, type Drafts, type SeenFoot, type Step } from './draft'
import { keepDrafts, keptDrafts } from './kept-drafts'
import { workshopFor } from './workshop-for'

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

export const openVisit = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(benchActions.open),
      concatLatestFrom(() => store.select(benchFeature.selectPage)),
      filter(([{ visitId }, page]) => page?.visit.id !== visitId),
      switchMap(([{ visitId }]) =>
        api.visitPage(visitId).pipe(
          map((page) =>
            benchActions.opened({
              page,
              kept: keptDrafts(visitId),
              ...keptHistory(visitId),
            }),
          ),
          catchError((error: unknown) =>
            of(benchActions.openFailed({ failure: failureText(error), gone: isGone(error) })),
          ),
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

/** The foot and its pattern in one go. Sent again without harm. */
export const save = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(benchActions.save),
      concatLatestFrom(() => [store.select(benchFeature.selectBenchState), store.select(selectSeen)]),
      exhaustMap(([{ request }, { page, drafts }, seen]) => {
        const { side } = request
        const sent = drafts![side]
        return api.putShoeing(shoeingToSend(request, sent, page!, seen)).pipe(
          map((stored) => benchActions.saved({ side, sent, ...stored })),
          catchError((error: unknown) => {
            const current = conflictOf<Partial<Shoeing>>(error)
            return of(
              current
                ? benchActions.saveRefused({ conflict: { side, ...current }, request })
                : benchActions.saveFailed({ failure: failureText(error) }),
            )
          }),
        )
      }),
    ),
  { functional: true },
)

/** Several feet in one go. Where one was changed elsewhere none is kept, and that one is asked about. */
export const saveSeveral = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(benchActions.saveSeveral),
      concatLatestFrom(() => [store.select(benchFeature.selectBenchState), store.select(selectSeen)]),
      exhaustMap(([{ requests }, { page, drafts }, seen]) => {
        const sent = Object.fromEntries(requests.map(({ side }) => [side, drafts![side]])) as Partial<Drafts>
        const feet = requests.map((request) => shoeingToSend(request, drafts![request.side], page!, seen))
        return api.putSeveralFeet(page!.visit.id, { feet }).pipe(
          map((stored) => benchActions.severalSaved({ sent, stored })),
          catchError((error: unknown) => {
            const stale = conflictOf<StaleFeet>(error)
            const refused = requests.find(({ side }) => stale?.feet[side])
            return of(
              refused
                ? benchActions.saveRefused({
                    conflict: { side: refused.side, ...stale!.feet[refused.side] },
                    request: refused,
                  })
                : benchActions.saveFailed({ failure: failureText(error) }),
            )
          }),
        )
      }),
    ),
  { functional: true },
)

/** A foot as it was measured, with what was found on it, and the pattern made for it. */
function shoeingToSend(
  request: SaveRequest,
  draft: Draft,
  page: VisitPage,
  seen: Record<Side, SeenFoot>,
): SeveralFeet['feet'][number] {
  const { side } = request
  const foot = footInput(side, draft.foot, seen[side])
  const pattern = patternToSend(foot, draft, request, page)
  return { pattern, record: recordToSend(foot, draft, side, page.visit.id, pattern.id) }
}

function patternToSend(foot: FootInput, draft: Draft, request: SaveRequest, page: VisitPage): Pattern {
  const { side, name, tags = [], why = '' } = request
  // What was stored with it and is not on the Bench stays with it.
  const stored = page.patterns.find(({ id }) => id === draft.base.pattern!.id)
  const forkedFrom = stored ? stored.forkedFrom : draft.base.fork
  return {
    id: draft.base.pattern!.id,
    version: draft.base.pattern!.version,
    horseId: page.horse.id,
    visitId: page.visit.id,
    side,
    name,
    foot,
    shoe: draft.shoe,
    workshop: workshopFor(page, draft.shoe),
    notes: stored?.notes ?? '',
    ...(tags.length > 0 && { tags }),
    ...(why !== '' && { why }),
    ...(forkedFrom && { forkedFrom }),
    archived: false,
  }
}

function recordToSend(
  foot: FootInput,
  draft: Draft,
  side: Side,
  visitId: string,
  patternId: string,
): FootRecord {
  return {
    id: draft.base.record!.id,
    version: draft.base.record!.version,
    visitId,
    side,
    foot,
    patternId,
    notes: '',
  }
}

/** The farrier saw both and keeps this one: sent again on top of what is stored. */
export const saveAgain = createEffect(
  (actions = inject(Actions), store = inject(Store)) =>
    actions.pipe(
      ofType(benchActions.keepMine),
      concatLatestFrom(() => store.select(benchFeature.selectRefused)),
      map(([, refused]) => refused),
      filter((request) => request !== null),
      map((request) => benchActions.save({ request })),
    ),
  { functional: true },
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
