import type { FootRecord, FootWork, Side, PagePattern, Visit, VisitFeet, VisitPage } from '@crescent/core'
import { NOTHING_DONE, type History } from '../history'
import type { Drafts, Step } from './draft'

/** A save that was refused because something stored changed meanwhile: what stands there now, of foot and pattern. */
export interface BenchConflict {
  side: Side
  record?: FootRecord
  pattern?: PagePattern
}

/** What the farrier asked to save. */
export interface SaveRequest {
  side: Side
  name: string
  /** Make a new pattern, not the next version of the one that was loaded. */
  asNew: boolean
  /** Words by which the pattern is found again. */
  tags?: string[]
  /** What was changed, and why. */
  why?: string
  /** Ids for what is stored for the first time, made before sending: a repeat after a lost answer makes no second one. */
  newPatternId: string
  newRecordId: string
}

/** What may be changed of a visit; who it belongs to stays. */
export type VisitChanges = Partial<
  Pick<Visit, 'date' | 'state' | 'notes' | 'nextDue' | 'closeList' | 'archived'>
> & {
  /** Only what changes of only the feet that change; undefined takes it away. */
  feet?: Partial<
    Record<Side, { work?: FootWork; paused?: string | undefined; put?: NonNullable<VisitFeet[Side]>['put'] }>
  >
}

/** A visit with its changes: the feet that are not among them stay as they are stored by now. */
export function changedVisit(visit: Visit, { feet = {}, ...changes }: VisitChanges): Visit {
  const changed = Object.entries(feet).map(([side, change]) => {
    const { paused, ...foot } = { ...visit.feet[side as Side], ...change }
    return [side, paused === undefined ? foot : { ...foot, paused }]
  })
  return { ...visit, ...changes, feet: { ...visit.feet, ...(Object.fromEntries(changed) as Visit['feet']) } }
}

/** A visit as it will be once what waits is stored. */
export const asChanged = (visit: Visit, pending: readonly VisitChanges[]): Visit =>
  pending.reduce(changedVisit, visit)

export interface BenchState extends History<Step> {
  page: VisitPage | null
  /** Changes of the visit that are not stored yet, in their order: they are sent again until they are. */
  pending: readonly VisitChanges[]
  /** Feet that were saved while the server was away: they are sent by themselves. */
  waiting: readonly Side[]
  failure: string
  side: Side
  drafts: Drafts | null
  saving: boolean
  conflict: BenchConflict | null
  /** The request that met the conflict, to be tried again as the farrier decides. */
  refused: SaveRequest | null
}

/** A Bench with nothing on it. */
export const EMPTY: BenchState = {
  page: null,
  pending: [],
  waiting: [],
  failure: '',
  side: 'LF',
  drafts: null,
  ...NOTHING_DONE,
  saving: false,
  conflict: null,
  refused: null,
}
