import type { Look } from './look'
import type { Problem } from '../problem'
import type { Side } from './foot'
import type { FootRecord, Horse, Owner, Pattern, Visit, WorkshopRecord } from './practice'
import type { Snapshot } from './snapshot'

/** A horse as lists show it. */
export interface HorseSummary extends Horse {
  ownerName: string
  lastVisit: string | null
  /** Last visit and its cycle; none before the first visit. */
  due: string | null
}

/** A pattern with the result it had when it was saved. */
export interface StoredPattern extends Pattern {
  result: Snapshot
}

/** Everything the page of one horse shows. */
export interface HorsePage {
  horse: Horse
  owner: Owner | null
  visits: Visit[]
  footRecords: FootRecord[]
  looks: Look[]
  patterns: StoredPattern[]
}

/** What the day holds. Overdue: due before the day; due: within the week from it; seen: visited on it. The longest
 * overdue come first; of more than 200 waiting only those are listed, `counts` has them all. */
export interface Round {
  date: string
  overdue: HorseSummary[]
  due: HorseSummary[]
  seen: (HorseSummary & { visitId: string; visitState: Visit['state'] })[]
  counts: { horses: number; patterns: number; overdue: number; due: number }
}

/** What the Bench needs for one visit. */
export interface VisitPage {
  visit: Visit
  horse: Horse
  owner: Owner | null
  footRecords: FootRecord[]
  /** What was looked at: null until somebody looked. */
  look: Look | null
  /** The newest look at this horse before this visit. */
  lookBefore: Look | null
  /** The last finished visit before this one, whether anything was measured or not. */
  lastVisit: string | null
  /** Of the visit before, where there is one. */
  previous: { visit: Visit; footRecords: FootRecord[] } | null
  patterns: StoredPattern[]
  workshop: WorkshopRecord
}

/** Why a request was not done. `current` is the stored record where a stale write was refused. */
export interface Refusal<T = unknown> {
  errors: Pick<Problem, 'path' | 'message'>[]
  current?: T
}

/** The newest pattern of each foot that is not archived: what the horse wears. */
export function currentPatterns(patterns: readonly StoredPattern[]): Partial<Record<Side, StoredPattern>> {
  const newest: Partial<Record<Side, StoredPattern>> = {}
  for (const pattern of patterns) {
    const other = newest[pattern.side]
    if (pattern.archived) continue
    if (!other || (pattern.updatedAt ?? '') > (other.updatedAt ?? '')) newest[pattern.side] = pattern
  }
  return newest
}
