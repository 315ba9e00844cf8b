import { inject } from '@angular/core'
import { MatSnackBar } from '@angular/material/snack-bar'
import type { FootInput, FootRecord, Pattern, Side, StoredPattern, VisitPage } from '@crescent/core'
import { Actions, createEffect, ofType } from '@ngrx/effects'
import { concatLatestFrom } from '@ngrx/operators'
import { Store } from '@ngrx/store'
import {
  catchError,
  concat,
  debounceTime,
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
import { Api, conflictOf, failureText, isGone } from '../api'
import { browserStore } from '../browser-store'
import { settingsActions } from '../settings/settings.feature'
import { benchActions, benchFeature, selectFindings } from './bench.feature'
import type { SaveRequest } from './bench.state'
import { footInput, SIDES, type Draft, type Drafts } from './draft'

const keptKey = (visitId: string): string => `bench.${visitId}`

export const openVisit = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(benchActions.open),
      concatLatestFrom(() => store.select(benchFeature.selectPage)),
      filter(([{ visitId }, page]) => page?.visit.id !== visitId),
      switchMap(([{ visitId }]) =>
        api.visitPage(visitId).pipe(
          map((page) =>
            benchActions.opened({ page, kept: browserStore.read<Partial<Drafts>>(keptKey(visitId)) ?? {} }),
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

/** What is unsaved survives a reload: kept shortly after each change, and at once when the page is left. */
export const keepUnsaved = createEffect(
  (store = inject(Store)) => {
    const bench = store.select(benchFeature.selectBenchState)
    const leaving = merge(fromEvent(window, 'pagehide'), fromEvent(document, 'visibilitychange'))
    // Another window may keep work on the same visit: only what this one put there is taken away again.
    const mine = new Set<string>()
    return merge(bench.pipe(debounceTime(120)), leaving.pipe(switchMap(() => bench.pipe(take(1))))).pipe(
      tap(({ page, drafts }) => {
        if (page && drafts) keep(keptKey(page.visit.id), drafts, mine)
      }),
    )
  },
  { functional: true, dispatch: false },
)

function keep(key: string, drafts: Drafts, mine: Set<string>): void {
  const kept = browserStore.read<Partial<Drafts>>(key) ?? {}
  let changed = false
  for (const side of SIDES) {
    const place = `${key} ${side}`
    if (drafts[side].dirty) {
      kept[side] = drafts[side]
      mine.add(place)
      changed = true
    } else if (mine.delete(place)) {
      delete kept[side]
      changed = true
    }
  }
  if (!changed) return
  if (Object.keys(kept).length > 0) browserStore.write(key, kept)
  else browserStore.remove(key)
}

/** The pattern first, then the foot that names it. Both can be sent again without harm. */
export const save = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(benchActions.save),
      concatLatestFrom(() => [store.select(benchFeature.selectBenchState), store.select(selectFindings)]),
      exhaustMap(([{ request }, { page, drafts }, findings]) => {
        const { side } = request
        const sent = drafts![side]
        const foot = footInput(side, sent.foot, findings[side])
        const refused = (kind: 'foot' | 'pattern') => (error: unknown) => {
          const current = conflictOf<FootRecord & StoredPattern>(error)
          // By the time the foot is refused the pattern is stored: trying again must not make another.
          const again = kind === 'foot' ? { ...request, asNew: false } : request
          if (current)
            return of(benchActions.saveRefused({ conflict: { side, kind, current }, request: again }))
          return of(benchActions.saveFailed({ failure: failureText(error) }))
        }
        const pattern = patternToSend(foot, sent, request, page!)
        return api.putPattern(pattern).pipe(
          switchMap((stored) =>
            concat(
              of(benchActions.patternStored({ side, pattern: stored })),
              api.putFootRecord(recordToSend(foot, sent, side, page!.visit.id, stored.id)).pipe(
                map((record) => benchActions.saved({ side, sent, record, pattern: stored })),
                catchError(refused('foot')),
              ),
            ),
          ),
          catchError(refused('pattern')),
        )
      }),
    ),
  { functional: true },
)

function patternToSend(foot: FootInput, draft: Draft, { side, name }: SaveRequest, page: VisitPage): Pattern {
  return {
    id: draft.base.pattern!.id,
    version: draft.base.pattern!.version,
    horseId: page.horse.id,
    visitId: page.visit.id,
    side,
    name,
    foot,
    shoe: draft.shoe,
    workshop: page.workshop.figures,
    notes: '',
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

export const finishVisit = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(benchActions.finishVisit),
      concatLatestFrom(() => store.select(benchFeature.selectPage)),
      exhaustMap(([{ notes, closeList }, page]) =>
        api.putVisit({ ...page!.visit, state: 'done', notes, closeList }).pipe(
          map((visit) => benchActions.visitFinished({ visit })),
          catchError((error: unknown) => of(benchActions.saveFailed({ failure: failureText(error) }))),
        ),
      ),
    ),
  { functional: true },
)

export const tell = createEffect(
  (actions = inject(Actions), snackBar = inject(MatSnackBar)) =>
    actions.pipe(
      ofType(benchActions.saved, benchActions.saveFailed, benchActions.visitFinished),
      tap((action) => {
        if (action.type === benchActions.saved.type)
          snackBar.open(`Saved: ${action.pattern.name}`, '', { duration: 3_000 })
        else if (action.type === benchActions.visitFinished.type)
          snackBar.open('Visit finished', '', { duration: 3_000 })
        else snackBar.open(`Not saved. ${action.failure}`, 'Close', { duration: 12_000 })
      }),
    ),
  { functional: true, dispatch: false },
)
