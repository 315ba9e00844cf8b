import { SIDES, type Side } from '../terms/sides'
import type { FootWork } from '../terms/work'
import type { PagePattern } from './answers'
import type { FootRecord, Visit, VisitFeet } from './practice'

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
export function currentPatterns<P extends PagePattern>(
  patterns: readonly P[],
  visits: readonly Pick<Visit, 'id' | 'date' | 'feet'>[] = [],
): Partial<Record<Side, P>> {
  const newest: Partial<Record<Side, P>> = {}
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
