import { inject } from '@angular/core'
import type { FootInput, FootRecord, Pattern, Side, VisitPage } from '@crescent/core'
import { Actions, createEffect, ofType } from '@ngrx/effects'
import { concatLatestFrom } from '@ngrx/operators'
import { Store } from '@ngrx/store'
import { catchError, exhaustMap, filter, from, map, of, tap } from 'rxjs'
import {
  Api,
  conflictOf,
  failureText,
  isPassing,
  type SeveralFeet,
  type Shoeing,
  type StaleFeet,
} from '../api'
import { recordsActions } from '../records/records.feature'
import { keepWaiting, overtaken, type WaitingSave } from '../waiting/waiting-saves'
import { benchActions, benchFeature, selectSeen } from './bench.feature'
import type { SaveRequest } from './bench.state'
import { footInput, type Draft, type Drafts, type SeenFoot } from './draft'
import { workOn } from './kept-drafts'
import { workshopFor } from './workshop-for'

/** The foot and its pattern in one go. Sent again without harm. */
export const save = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(benchActions.save),
      concatLatestFrom(() => [store.select(benchFeature.selectBenchState), store.select(selectSeen)]),
      exhaustMap(([{ request }, { page, drafts }, seen]) => {
        const { side } = request
        const sent = drafts![side]
        const shoeing = shoeingToSend(request, sent, page!, seen)
        return api.putShoeing(shoeing).pipe(
          tap(() => overtaken(page!.visit.id, side)),
          map((stored) => benchActions.saved({ side, sent, ...stored })),
          catchError((error: unknown) => {
            if (isPassing(error)) return waitOrFail(page!, drafts!, [shoeing], error)
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

/** The server is away: what was saved is kept here and sent by itself. A browser that keeps nothing says that it failed. */
function waitOrFail({ visit, horse }: VisitPage, drafts: Drafts, feet: SeveralFeet['feet'], error: unknown) {
  const saves = feet.map((shoeing): WaitingSave => ({
    ...{ visitId: visit.id, side: shoeing.record.side, horse: horse.name, shoeing },
    work: workOn(drafts[shoeing.record.side]),
  }))
  return saves.every(keepWaiting)
    ? from(saves.map((save) => recordsActions.saveWaits({ save })))
    : of(benchActions.saveFailed({ failure: failureText(error) }))
}

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
          tap(({ feet }) => feet.forEach(({ record }) => overtaken(record.visitId, record.side))),
          map((stored) => benchActions.severalSaved({ sent, stored })),
          catchError((error: unknown) => {
            if (isPassing(error)) return waitOrFail(page!, drafts!, feet, error)
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
