import {
  SIDES,
  closedGates,
  newLook,
  openQuestions,
  type Acknowledgement,
  type AdviceChoice,
  type FootLook,
  type Look,
  type Side,
  type VetWord,
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
import { madeAgain, NOTHING_DONE, remembered, takenBack, type History } from '../history'

export interface LookState extends History<Look> {
  visitId: string | null
  /** The look at the visit on the Bench; made when the visit is opened, stored with the first change. */
  look: Look | null
  /** The look at the visit before. */
  before: Look | null
  /** What was typed where it is no figure, by field; nothing typed is lost. */
  entries: Record<string, string>
  /** Changed since it was last stored. */
  unsaved: boolean
  failure: string
  /** What is stored, where a save was refused because it changed elsewhere. */
  conflict: Look | null
}

const EMPTY: LookState = {
  visitId: null,
  look: null,
  before: null,
  entries: {},
  ...NOTHING_DONE,
  unsaved: false,
  failure: '',
  conflict: null,
}

/** Work on a look that the server does not have yet, as this browser keeps it. */
export interface KeptLook {
  look: Look
  entries: Record<string, string>
}

export const lookActions = createActionGroup({
  source: 'Look',
  events: {
    opened: props<{
      visitId: string
      stored: Look | null
      before: Look | null
      kept: KeptLook | undefined
      newId: string
    }>(),
    setVet: props<{ vet: VetWord; touched: string }>(),
    setWays: props<{ ways: Look['ways']; touched: string }>(),
    setFoot: props<{ side: Side; foot: FootLook; touched: string }>(),
    setEntry: props<{ field: string; text: string }>(),
    /** With what is looked for on the foot because of it. */
    choose: props<{ choices: AdviceChoice[]; side: Side; foot: FootLook }>(),
    unchoose: props<{ codes: string[]; side: Side; foot: FootLook }>(),
    acknowledge: props<{ acknowledged: Acknowledgement[] }>(),
    settle: emptyProps(),
    undo: emptyProps(),
    redo: emptyProps(),
    saved: props<{ sent: Look; stored: Look }>(),
    saveFailed: props<{ failure: string }>(),
    saveRefused: props<{ current: Look }>(),
    keepMine: emptyProps(),
    takeTheirs: emptyProps(),
  },
})

function touch(state: LookState, touched: string, change: (look: Look) => Look): LookState {
  if (!state.look) return state
  return {
    ...state,
    ...remembered(state, touched, state.look),
    look: change(state.look),
    unsaved: true,
    entries: Object.fromEntries(Object.entries(state.entries).filter(([field]) => field !== touched)),
  }
}

/** Undo moves the work, not the stored version it builds on. */
const asOf = (look: Look, now: Look): Look => ({ ...look, id: now.id, version: now.version })

const exchange = (state: LookState, step: Look): { state: LookState; back: Look } | undefined =>
  state.look
    ? { state: { ...state, look: asOf(step, state.look), unsaved: true }, back: state.look }
    : undefined

export const lookFeature = createFeature({
  name: 'look',
  reducer: createReducer(
    EMPTY,
    on(lookActions.opened, (_state, { visitId, stored, before, kept, newId }): LookState => ({
      ...EMPTY,
      visitId,
      before,
      look: kept?.look ?? stored ?? newLook(newId, visitId, before ?? undefined),
      entries: kept?.entries ?? {},
      unsaved: kept !== undefined,
    })),
    on(lookActions.setVet, (state, { vet, touched }): LookState =>
      touch(state, touched, (look) => ({ ...look, vet })),
    ),
    on(lookActions.setWays, (state, { ways, touched }): LookState =>
      touch(state, touched, (look) => ({ ...look, ways })),
    ),
    on(lookActions.setFoot, (state, { side, foot, touched }): LookState =>
      touch(state, touched, (look) => ({ ...look, feet: { ...look.feet, [side]: foot } })),
    ),
    on(lookActions.setEntry, (state, { field, text }): LookState => ({
      ...state,
      entries: { ...state.entries, [field]: text },
    })),
    on(lookActions.choose, (state, { choices, side, foot }): LookState =>
      touch(state, '', (look) => ({
        ...look,
        feet: { ...look.feet, [side]: foot },
        advice: [...choices.reduce(without, look.advice), ...choices],
      })),
    ),
    on(lookActions.unchoose, (state, { codes, side, foot }): LookState =>
      touch(state, '', (look) => ({
        ...look,
        feet: { ...look.feet, [side]: foot },
        advice: codes.reduce((left, code) => without(left, { code, side }), look.advice),
      })),
    ),
    on(lookActions.acknowledge, (state, { acknowledged }): LookState =>
      touch(state, '', (look) => ({ ...look, acknowledged: [...look.acknowledged, ...acknowledged] })),
    ),
    on(lookActions.settle, (state): LookState => ({ ...state, lastTouched: '' })),
    on(lookActions.undo, (state): LookState => takenBack(state, exchange)),
    on(lookActions.redo, (state): LookState => madeAgain(state, exchange)),
    on(lookActions.saved, (state, { sent, stored }): LookState =>
      state.look?.id !== stored.id && state.look?.visitId !== stored.visitId
        ? state
        : {
            ...state,
            failure: '',
            // Work done while it was being stored stays unsaved work, on top of what is stored now.
            look: state.look === sent ? stored : asOf(state.look, stored),
            unsaved: state.look !== sent,
          },
    ),
    on(lookActions.saveFailed, (state, { failure }): LookState => ({ ...state, failure })),
    on(lookActions.saveRefused, (state, { current }): LookState => ({ ...state, conflict: current })),
    on(lookActions.keepMine, (state): LookState =>
      state.look && state.conflict
        ? { ...state, look: asOf(state.look, state.conflict), conflict: null, unsaved: true }
        : state,
    ),
    on(lookActions.takeTheirs, (state): LookState =>
      state.look && state.conflict
        ? {
            ...state,
            past: [...state.past, state.look],
            look: state.conflict,
            conflict: null,
            unsaved: false,
          }
        : state,
    ),
  ),
  extraSelectors: ({ selectLook, selectBefore, selectPast, selectFuture }) => ({
    selectClosedGates: createSelector(selectLook, (look) => (look ? closedGates(look) : [])),
    /** Questions from the visit before that are still open, by foot. */
    selectQuestions: createSelector(selectLook, selectBefore, (look, before) =>
      SIDES.map((side) => ({ side, questions: look ? openQuestions(before ?? undefined, look, side) : [] })),
    ),
    selectCanUndoLook: createSelector(selectPast, (past) => past.length > 0),
    selectCanRedoLook: createSelector(selectFuture, (future) => future.length > 0),
  }),
})

const without = (choices: AdviceChoice[], { code, side }: { code: string; side: Side }): AdviceChoice[] =>
  choices.filter((one) => one.code !== code || one.side !== side)
