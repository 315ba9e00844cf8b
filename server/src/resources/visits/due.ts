import type { HorseSummary } from '@crescent/core'
import { Conflict } from '../../database/record-table'
import { NotFound } from '../../http/door'
import type { Practice } from '../../practice'

/** A day that a next visit is put on, and the one it is put from, as it was seen. */
export interface MovedDue {
  date: string
  was: string | null
}

/**
 * Puts the next visit of a horse on another day. It stands with the last one: there its day is set.
 *
 * @throws NotFound where there is no such horse, or it was never visited
 * @throws Conflict where it was put on another day meanwhile
 */
export function movedDue(practice: Practice, horseId: string, { date, was }: MovedDue): HorseSummary {
  return practice.db
    .transaction(() => {
      const id = practice.horses.get(horseId)?.id ?? horseId
      const [last] = practice.visits
        .ofHorse(id)
        .filter(({ state, archived }) => state === 'done' && !archived)
        .sort((a, b) => (a.date < b.date ? 1 : -1))
      if (!last) throw new NotFound('horse')
      const before = practice.horses.summaryOf(id)!
      if (before.due !== was && before.due !== date) throw new Conflict(before)
      if (before.due !== date) practice.visits.put({ ...last, nextDue: date })
      return practice.horses.summaryOf(id)!
    })
    .immediate()
}
