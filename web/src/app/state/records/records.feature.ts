import type {
  Horse,
  HorsePage,
  HorseSummary,
  Owner,
  Pattern,
  Round,
  StoredPattern,
  Visit,
} from '@crescent/core'
import type { Shoeing, StoredFeet } from '../api'
import type { WaitingSave } from '../waiting/waiting-saves'
import { createActionGroup, createFeature, createReducer, on, props } from '@ngrx/store'

export type Loading = 'no' | 'yes' | 'failed'

/** What was read from the server for the Round and the Stable. */
export interface RecordsState {
  round: Round | null
  horses: HorseSummary[] | null
  search: string
  archived: boolean
  page: HorsePage | null
  loading: Loading
  failure: string
}

const EMPTY: RecordsState = {
  round: null,
  horses: null,
  search: '',
  archived: false,
  page: null,
  loading: 'no',
  failure: '',
}

/** The round with a visit that was begun since: its horse is not due any more, it is seen. */
export function begunIn(round: Round, visit: Visit): Round {
  const horse = [...round.overdue, ...round.due].find(({ id }) => id === visit.horseId)
  if (!horse || round.seen.some(({ id }) => id === visit.horseId)) return round
  const others = (list: Round['due']) => list.filter(({ id }) => id !== visit.horseId)
  const [overdue, due] = [others(round.overdue), others(round.due)]
  return {
    ...round,
    ...{ overdue, due },
    seen: [...round.seen, { ...horse, visitId: visit.id, visitState: visit.state, done: {}, paused: [] }],
    counts: {
      ...round.counts,
      overdue: round.counts.overdue - (round.overdue.length - overdue.length),
      due: round.counts.due - (round.due.length - due.length),
    },
  }
}

export const recordsActions = createActionGroup({
  source: 'Records',
  events: {
    openRound: props<{ date: string }>(),
    roundRead: props<{ round: Round }>(),
    search: props<{ search: string; archived: boolean }>(),
    horsesFound: props<{ horses: HorseSummary[] }>(),
    openHorse: props<{ id: string }>(),
    horseRead: props<{ page: HorsePage }>(),
    failed: props<{ failure: string }>(),
    /** Starts a visit of a horse today, or goes on with the one that is open. */
    startVisit: props<{ horseId: string; date: string }>(),
    visitStarted: props<{ visit: Visit }>(),
    /** Several feet were stored at once, as last time. */
    severalStored: props<StoredFeet>(),
    /** A foot was saved while the server was away: it is kept here and sent by itself. */
    saveWaits: props<{ save: WaitingSave }>(),
    waitingSaved: props<{ save: WaitingSave; stored: Shoeing }>(),
    /** It cannot be stored as it is: why, and what stands there where that was changed elsewhere. */
    waitingRefused: props<{ save: WaitingSave; failure: string; stale?: Partial<Shoeing> }>(),
    saveHorse: props<{ horse: Horse }>(),
    horseSaved: props<{ horse: Horse }>(),
    saveOwner: props<{ owner: Owner }>(),
    ownerSaved: props<{ owner: Owner }>(),
    savePattern: props<{ pattern: Pattern }>(),
    patternSaved: props<{ pattern: StoredPattern }>(),
    saveFailed: props<{ failure: string }>(),
  },
})

export const recordsFeature = createFeature({
  name: 'records',
  reducer: createReducer(
    EMPTY,
    on(recordsActions.openRound, (state): RecordsState => ({ ...state, loading: 'yes' })),
    on(recordsActions.roundRead, (state, { round }): RecordsState => ({ ...state, round, loading: 'no' })),
    // Read before the visit was begun: it goes on from here, with or without the server.
    on(recordsActions.visitStarted, (state, { visit }): RecordsState => ({
      ...state,
      round: state.round && begunIn(state.round, visit),
    })),
    on(recordsActions.search, (state, { search, archived }): RecordsState => ({
      ...state,
      search,
      archived,
      loading: 'yes',
    })),
    on(recordsActions.horsesFound, (state, { horses }): RecordsState => ({
      ...state,
      horses,
      loading: 'no',
    })),
    on(recordsActions.openHorse, (state, { id }): RecordsState => ({
      ...state,
      page: state.page?.horse.id === id ? state.page : null,
      loading: 'yes',
    })),
    on(recordsActions.horseRead, (state, { page }): RecordsState => ({ ...state, page, loading: 'no' })),
    on(recordsActions.failed, (state, { failure }): RecordsState => ({
      ...state,
      failure,
      loading: 'failed',
    })),
    on(recordsActions.horseSaved, (state, { horse }): RecordsState =>
      state.page?.horse.id === horse.id ? { ...state, page: { ...state.page, horse } } : state,
    ),
    on(recordsActions.ownerSaved, (state, { owner }): RecordsState =>
      state.page?.owner?.id === owner.id ? { ...state, page: { ...state.page, owner } } : state,
    ),
    on(recordsActions.patternSaved, (state, { pattern }): RecordsState =>
      state.page?.horse.id === pattern.horseId
        ? { ...state, page: { ...state.page, patterns: replaced(state.page.patterns, pattern) } }
        : state,
    ),
  ),
})

const replaced = (patterns: StoredPattern[], pattern: StoredPattern): StoredPattern[] => [
  pattern,
  ...patterns.filter(({ id }) => id !== pattern.id),
]
