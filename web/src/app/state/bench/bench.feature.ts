import {
  OPPOSITE,
  SIDES,
  planShoe,
  withoutOverruled,
  workOf,
  type Animal,
  type BreakoverSchoolName,
  type FootFigureKey,
  type FootRecord,
  type HeelMeasure,
  type KeepClear,
  type NailLimit,
  type ShoeInput,
  type Side,
  type StoredPattern,
  type TipSource,
  type VisitPage,
  type LearnedCut,
  type WorkshopRecord,
  type TracedFoot,
} from '@crescent/core'
import {
  createActionGroup,
  createFeature,
  createReducer,
  createSelector,
  emptyProps,
  on,
  props,
} from '@ngrx/store'
import type { History } from '../history'
import { lookFeature } from '../look/look.feature'
import type { StoredFeet } from '../api'
import { recordsActions } from '../records/records.feature'
import {
  asChanged,
  EMPTY,
  type BenchConflict,
  type BenchState,
  type SaveRequest,
  type VisitChanges,
} from './bench.state'
import {
  draftsFrom,
  seenOf,
  footDraft,
  footInput,
  isMeasured,
  type AnvilDraft,
  type Draft,
  type Drafts,
  type FootDraft,
  type Step,
  type TakenUp,
} from './draft'
import { workOn } from './kept-drafts'
import { redone, touch, touchAll, undone } from './changing'
import { tryPlan, UNPLANNED } from './planning'
import { tracedDraft } from './traced'
import { workshopFor } from './workshop-for'
import { afterSave, afterSeveral, rebased, takeTheirs, withIds } from './saving'

export const benchActions = createActionGroup({
  source: 'Bench',
  events: {
    open: props<{ visitId: string }>(),
    opened: props<{
      page: VisitPage
      kept: Partial<Drafts>
      waiting?: readonly Side[]
      history?: Pick<History<Step>, 'past' | 'future'>
    }>(),
    openFailed: props<{ failure: string; gone: boolean }>(),
    chooseSide: props<{ side: Side }>(),
    setFigure: props<{ key: FootFigureKey; value: number | undefined }>(),
    setEntry: props<{ field: string; text: string }>(),
    setAnimal: props<{ animal: Animal }>(),
    setHeelMeasure: props<{ heelMeasure: HeelMeasure }>(),
    setTipBy: props<{ tipBy: TipSource }>(),
    /** The school of breakover, for this foot or for all four. */
    setSchool: props<{ school: BreakoverSchoolName; all: boolean }>(),
    setKeepClear: props<{ keepClear: KeepClear[] }>(),
    /** What a radiograph that was handed on, and what was agreed on it, limit of the nails: in place of the last one's. */
    setLimits: props<{ limits: NailLimit[] }>(),
    /** An outline that was traced, with the measures read from it; nothing: the outline follows from figures again. */
    setTrace: props<{ traced: TracedFoot | undefined }>(),
    setShoe: props<{ shoe: ShoeInput; touched: string }>(),
    /** What was seen or measured of the shoe on the anvil. */
    setAnvil: props<{ anvil: AnvilDraft; touched: string }>(),
    copyLast: emptyProps(),
    mirror: emptyProps(),
    loadPattern: props<{ pattern: TakenUp; withFoot: boolean; horse?: string; mirrored?: boolean }>(),
    /** A hand was lifted: the next change is one of its own. */
    settle: emptyProps(),
    undo: emptyProps(),
    redo: emptyProps(),
    discard: emptyProps(),
    save: props<{ request: SaveRequest }>(),
    saved: props<{ side: Side; sent: Draft; record: FootRecord; pattern: StoredPattern }>(),
    /** Several feet in one go: all are kept or none. */
    saveSeveral: props<{ requests: SaveRequest[] }>(),
    severalSaved: props<{ sent: Partial<Drafts>; stored: StoredFeet }>(),
    saveFailed: props<{ failure: string }>(),
    saveRefused: props<{ conflict: BenchConflict; request: SaveRequest }>(),
    keepMine: emptyProps(),
    takeTheirs: emptyProps(),
    closeConflict: emptyProps(),
    /** Something of the visit itself changes: stored at once; `told` is said when it is. */
    changeVisit: props<{ changes: VisitChanges; told?: string }>(),
    visitChanged: props<{ changes: VisitChanges; visit: VisitPage['visit']; told: string }>(),
    /** It could not be stored yet and is sent again by itself. */
    visitWaits: props<{ changes: VisitChanges; failure: string }>(),
    /** It cannot be stored as it is: why. */
    visitRefused: props<{ changes: VisitChanges; visitId: string; failure: string }>(),
    workshopSaved: props<{ workshop: WorkshopRecord }>(),
    /** Logged jobs taught something new of the next cut. */
    cutsLearned: props<{ learned: LearnedCut[] }>(),
  },
})

/** A foot with the limits of another draft of it. */
const withLimits = ({ limits: _others, ...foot }: FootDraft, limits: FootDraft['limits']): FootDraft => ({
  ...foot,
  ...(limits && { limits }),
})

/** The foot of a pattern; one of another foot or horse leaves its limits behind, and this foot keeps its own. */
function takenUp(pattern: TakenUp, { foot }: Draft, own: boolean): FootDraft {
  const taken = footDraft(pattern.foot, foot.school)
  return own && !foot.limits ? taken : withLimits(taken, foot.limits)
}

/** A foot that waits no more. */
const noLonger = (state: BenchState, side: Side): BenchState => ({
  ...state,
  waiting: state.waiting.filter((one) => one !== side),
})

const without = <T>(record: Record<string, T>, key: string): Record<string, T> =>
  Object.fromEntries(Object.entries(record).filter(([name]) => name !== key))

/** What was looked at on each foot: what nails keep clear of, and what limits them. */
export const selectSeen = createSelector(lookFeature.selectLook, seenOf)

export const benchFeature = createFeature({
  name: 'bench',
  reducer: createReducer(
    EMPTY,
    on(benchActions.open, (state, { visitId }): BenchState =>
      state.page?.visit.id === visitId ? state : { ...EMPTY, side: state.side },
    ),
    on(benchActions.opened, (state, { page, kept, waiting = [], history }): BenchState => ({
      ...EMPTY,
      side: state.side,
      page,
      drafts: { ...draftsFrom(page), ...kept },
      waiting,
      ...history,
    })),
    on(benchActions.openFailed, (state, { failure }): BenchState => ({ ...state, failure })),
    on(benchActions.chooseSide, (state, { side }): BenchState => ({ ...state, side, lastTouched: '' })),
    on(benchActions.setFigure, (state, { key, value }): BenchState =>
      touch(state, key, ({ foot, ...draft }) => ({
        ...draft,
        foot: {
          ...foot,
          figures:
            value === undefined
              ? without(foot.figures as Record<string, number>, key)
              : { ...foot.figures, [key]: value },
          entries: without(foot.entries, key),
        },
      })),
    ),
    on(benchActions.setEntry, (state, { field, text }): BenchState =>
      touch(state, field, ({ foot, ...draft }) => ({
        ...draft,
        foot: { ...foot, entries: { ...foot.entries, [field]: text } },
      })),
    ),
    on(benchActions.setAnimal, (state, { animal }): BenchState =>
      touch(state, 'animal', (draft) => ({ ...draft, foot: { ...draft.foot, animal } })),
    ),
    on(benchActions.setHeelMeasure, (state, { heelMeasure }): BenchState =>
      touch(state, 'heelMeasure', (draft) => ({ ...draft, foot: { ...draft.foot, heelMeasure } })),
    ),
    on(benchActions.setTipBy, (state, { tipBy }): BenchState =>
      touch(state, 'tipBy', (draft) => ({ ...draft, foot: { ...draft.foot, tipBy } })),
    ),
    on(benchActions.setSchool, (state, { school, all }): BenchState =>
      touchAll(state, 'school', (draft, side) => {
        const { foot, dirty } = draft
        if (foot.school === school || (!all && side !== state.side)) return draft
        // A foot nobody measured has nothing to save: its school follows the horse's.
        const measured = Object.keys(foot.figures).length > 0
        return { ...draft, foot: { ...foot, school }, dirty: dirty || measured || side === state.side }
      }),
    ),
    on(benchActions.setKeepClear, (state, { keepClear }): BenchState =>
      touch(state, 'keepClear', (draft) => ({ ...draft, foot: { ...draft.foot, keepClear } })),
    ),
    on(benchActions.setLimits, (state, { limits }): BenchState =>
      touch(state, 'limits', (draft) => ({ ...draft, foot: { ...draft.foot, limits } })),
    ),
    on(benchActions.setTrace, (state, { traced }): BenchState =>
      touch(state, 'trace', (draft) => ({ ...draft, foot: tracedDraft(draft.foot, traced) })),
    ),
    on(benchActions.setShoe, (state, { shoe, touched }): BenchState =>
      touch(state, touched, (draft) => ({
        ...draft,
        shoe,
        foot: { ...draft.foot, entries: without(draft.foot.entries, touched) },
      })),
    ),
    on(benchActions.setAnvil, (state, { anvil, touched }): BenchState =>
      touch(state, touched, ({ foot, ...draft }) => ({
        ...draft,
        anvil,
        foot: { ...foot, entries: without(foot.entries, touched) },
      })),
    ),
    on(benchActions.copyLast, (state): BenchState => {
      const last = state.page?.previous?.footRecords.find((record) => record.side === state.side)
      return last
        ? touch(state, 'copy', (draft) => ({ ...draft, foot: footDraft(last.foot, draft.foot.school) }))
        : state
    }),
    on(benchActions.mirror, (state): BenchState => {
      const other = state.drafts?.[OPPOSITE[state.side]]
      if (!other || !isMeasured(other)) return state
      // One frame for every foot: a mirror image has the same figures. It is a pattern of its own, never a version
      // of the one this foot had.
      return touch(state, 'mirror', (draft) => ({
        ...draft,
        // What limits one foot was found or read on that foot alone.
        foot: withLimits(other.foot, draft.foot.limits),
        shoe: withoutOverruled(other.shoe),
        base: { ...draft.base, pattern: null },
      }))
    }),
    on(benchActions.loadPattern, (state, { pattern, withFoot, horse = '', mirrored = false }): BenchState =>
      touch(state, 'pattern', (draft) => {
        const own = !mirrored && pattern.side === state.side && pattern.horseId === state.page?.horse.id
        const { id, version, name } = pattern
        const { fork: _other, ...base } = draft.base
        return {
          ...draft,
          shoe: own ? pattern.shoe : withoutOverruled(pattern.shoe),
          foot: withFoot ? takenUp(pattern, draft, own) : draft.foot,
          // Taken over to another foot or horse it is the beginning of a new pattern.
          base: own
            ? { ...base, pattern: { id, version, name } }
            : {
                ...base,
                pattern: null,
                ...(version > 0 && { fork: { id, version, name, horse, mirrored } }),
              },
        }
      }),
    ),
    on(benchActions.settle, (state): BenchState => ({ ...state, lastTouched: '' })),
    on(benchActions.undo, undone),
    on(benchActions.redo, redone),
    on(benchActions.discard, (state): BenchState => {
      if (!state.page) return state
      const fresh = draftsFrom(state.page)[state.side]
      const discarded = touch(state, 'discard', () => fresh)
      return { ...discarded, drafts: { ...discarded.drafts!, [state.side]: fresh } }
    }),
    on(benchActions.save, (state, { request }): BenchState => ({ ...withIds(state, request), saving: true })),
    on(benchActions.saved, (state, { side, sent, record, pattern }): BenchState =>
      afterSave(noLonger(state, side), side, sent, record, pattern),
    ),
    on(benchActions.saveSeveral, (state, { requests }): BenchState => ({
      ...requests.reduce(withIds, state),
      saving: true,
    })),
    on(benchActions.severalSaved, (state, { sent, stored }): BenchState =>
      afterSeveral(
        stored.feet.reduce((now, { record }) => noLonger(now, record.side), state),
        stored,
        sent,
      ),
    ),
    on(recordsActions.severalStored, (state, stored): BenchState =>
      state.page?.visit.id === stored.visit.id ? afterSeveral(state, stored) : state,
    ),
    on(benchActions.saveFailed, (state): BenchState => ({ ...state, saving: false })),
    on(benchActions.saveRefused, (state, { conflict, request }): BenchState => ({
      ...state,
      saving: false,
      conflict,
      refused: request,
    })),
    on(recordsActions.saveWaits, (state, { save: { visitId, side } }): BenchState =>
      state.page?.visit.id === visitId
        ? { ...state, saving: false, waiting: [...state.waiting.filter((one) => one !== side), side] }
        : state,
    ),
    on(recordsActions.waitingSaved, (state, { save: { visitId, side, work }, stored }): BenchState => {
      if (state.page?.visit.id !== visitId || !state.drafts) return state
      const draft = state.drafts[side]
      const sent = workOn(draft) === work ? draft : { ...draft, foot: { ...draft.foot } }
      return afterSave(noLonger(state, side), side, sent, stored.record, stored.pattern)
    }),
    on(recordsActions.waitingRefused, (state, { save: { visitId, side, shoeing }, stale }): BenchState => {
      if (state.page?.visit.id !== visitId) return state
      const { name, tags } = shoeing.pattern
      const ids = { newPatternId: shoeing.pattern.id, newRecordId: shoeing.record.id }
      return {
        ...noLonger(state, side),
        ...(stale && {
          conflict: { side, ...stale },
          refused: { side, name, asNew: false, ...(tags && { tags }), ...ids },
        }),
      }
    }),
    on(benchActions.keepMine, (state): BenchState => ({ ...rebased(state), conflict: null })),
    on(benchActions.takeTheirs, takeTheirs),
    on(benchActions.closeConflict, (state): BenchState => ({ ...state, conflict: null, refused: null })),
    on(benchActions.changeVisit, (state, { changes }): BenchState => ({
      ...state,
      pending: [...state.pending, changes],
    })),
    on(benchActions.visitChanged, (state, { visit }): BenchState =>
      state.page?.visit.id === visit.id
        ? { ...state, page: { ...state.page, visit }, pending: state.pending.slice(1) }
        : state,
    ),
    on(benchActions.visitRefused, (state, { visitId }): BenchState =>
      state.page?.visit.id === visitId ? { ...state, pending: state.pending.slice(1) } : state,
    ),
    on(benchActions.workshopSaved, (state, { workshop }): BenchState =>
      state.page ? { ...state, page: { ...state.page, workshop } } : state,
    ),
    on(benchActions.cutsLearned, (state, { learned }): BenchState =>
      state.page ? { ...state, page: { ...state.page, learned } } : state,
    ),
    // The horse was changed in the Stable: what the Bench read is no longer true.
    on(recordsActions.horseSaved, (state, { horse }): BenchState =>
      state.page?.horse.id === horse.id ? { ...state, page: { ...state.page, horse } } : state,
    ),
    on(recordsActions.patternSaved, (state, { pattern }): BenchState =>
      state.page?.horse.id === pattern.horseId
        ? {
            ...state,
            page: {
              ...state.page,
              patterns: [pattern, ...state.page.patterns.filter((p) => p.id !== pattern.id)],
            },
          }
        : state,
    ),
  ),
  extraSelectors: ({ selectPage, selectPending, selectDrafts, selectSide, selectPast, selectFuture }) => {
    const selectDraft = createSelector(selectDrafts, selectSide, (drafts, side) => drafts?.[side])
    return {
      selectDraft,
      selectPlanning: createSelector(
        selectSide,
        selectDraft,
        selectPage,
        selectSeen,
        (side, draft, page, seen) =>
          draft
            ? tryPlan(() =>
                planShoe(footInput(side, draft.foot, seen[side]), draft.shoe, workshopFor(page, draft.shoe)),
              )
            : UNPLANNED,
      ),
      /** What is done to each foot at this visit, as far as it is known. */
      selectWork: createSelector(selectPage, selectPending, (page, pending) =>
        page ? workOf(asChanged(page.visit, pending).feet ?? {}, page.footRecords) : {},
      ),
      /** The feet on which work stopped half way, with why. */
      selectPaused: createSelector(
        selectPage,
        selectPending,
        (page, pending) =>
          Object.fromEntries(
            SIDES.flatMap((side) => {
              const why = page && asChanged(page.visit, pending).feet?.[side]?.paused
              return why === undefined ? [] : [[side, why]]
            }),
          ) as Partial<Record<Side, string>>,
      ),
      selectPreviousFoot: createSelector(selectPage, selectSide, (page, side) =>
        page?.previous?.footRecords.find((record) => record.side === side),
      ),
      selectDirtySides: createSelector(selectDrafts, (drafts) =>
        SIDES.filter((side) => drafts?.[side].dirty),
      ),
      /** The change that undo would take back, and the one that redo would make again. */
      selectLastStep: createSelector(selectPast, (past) => past.at(-1)),
      selectNextStep: createSelector(selectFuture, (future) => future.at(-1)),
      /** The foot on the other side was measured: there is something to mirror. */
      selectCanMirror: createSelector(selectDrafts, selectSide, (drafts, side) =>
        drafts ? isMeasured(drafts[OPPOSITE[side]]) : false,
      ),
    }
  },
})
