import type { UsualShoe } from './practice-facts'
import type { Look } from './look'
import type { Problem } from '../notices/problem'
import { SIDES, type Side } from '../terms/sides'
import type { FootWork } from '../terms/work'
import type { FootRecord, Horse, Owner, Pattern, Visit, VisitFeet, WorkshopRecord } from './practice'
import type { Snapshot } from './snapshot'

/** A horse as lists show it. */
export interface HorseSummary extends Horse {
  ownerName: string
  lastVisit: string | null
  /** As it was set at the last visit, else that visit and the cycle; none before the first visit. */
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
  seen: (HorseSummary & {
    visitId: string
    visitState: Visit['state']
    /** What was done to each foot so far, and where work on one stopped. */
    done: Partial<Record<Side, FootWork>>
    paused: Side[]
  })[]
  counts: { horses: number; patterns: number; overdue: number; due: number }
}

/** What the Bench needs for one visit. */
/** A pattern found among those of all horses. */
export interface FoundPattern {
  pattern: StoredPattern
  horseName: string
}

export interface VisitPage {
  /** What a foot begins with that never had a shoe, where the practice says so. */
  usual?: UsualShoe | null
  visit: Visit
  horse: Horse
  owner: Owner | null
  footRecords: FootRecord[]
  /** What was looked at: null until somebody looked. */
  look: Look | null
  /** The newest look at this horse before this visit. */
  lookBefore: Look | null
  /** The last finished visit before this one, whether anything was measured or not: its note is for this one. */
  lastVisit: Visit | null
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

/** What was done to each foot at a visit: what was decided for it, else shod where a pattern was kept for it. */
export function workOf(
  feet: VisitFeet,
  records: readonly Pick<FootRecord, 'side' | 'patternId'>[],
): Partial<Record<Side, FootWork>> {
  const done: Partial<Record<Side, FootWork>> = {}
  for (const side of SIDES) {
    const kept = records.some((record) => record.side === side && record.patternId)
    const work = feet[side]?.work ?? (kept ? 'shod' : undefined)
    if (work) done[side] = work
  }
  return done
}

/**
 * What the horse wears: the newest pattern of each foot that is not archived, unless the foot was left bare at a visit
 * since it was made.
 */
export function currentPatterns(
  patterns: readonly StoredPattern[],
  visits: readonly Pick<Visit, 'id' | 'date' | 'feet'>[] = [],
): Partial<Record<Side, StoredPattern>> {
  const newest: Partial<Record<Side, StoredPattern>> = {}
  for (const pattern of patterns) {
    const other = newest[pattern.side]
    if (pattern.archived) continue
    if (!other || (pattern.updatedAt ?? '') > (other.updatedAt ?? '')) newest[pattern.side] = pattern
  }
  for (const side of SIDES) {
    const bare = visits.filter(({ feet }) => feet?.[side]?.work === 'bare').map(({ date }) => date)
    const made = visits.find(({ id }) => id === newest[side]?.visitId)?.date ?? ''
    if (bare.some((date) => date >= made)) delete newest[side]
  }
  return newest
}
