import type { Horse, HorseSummary, Round } from '@crescent/core'

/** The horse to go on with. */
export interface NextOfDay {
  horse: HorseSummary
  /** The visit that is open already. */
  visitId?: string
}

/**
 * The horse that comes after one that is done: a visit of the day that is still open, else who is due by then and stands at
 * the same place, else who has been due longest.
 *
 * @param day until which a horse counts as due
 */
export function nextOfDay(
  round: Round,
  after: Pick<Horse, 'id' | 'place'>,
  day: string,
): NextOfDay | undefined {
  const open = round.seen.find(({ id, visitState }) => id !== after.id && visitState === 'open')
  if (open) return { horse: open, visitId: open.visitId }
  const seen = new Set(round.seen.map(({ id }) => id))
  const due = [...round.overdue, ...round.due].filter(
    (horse) => horse.id !== after.id && !seen.has(horse.id) && horse.due !== null && horse.due <= day,
  )
  const here = after.place === '' ? undefined : due.find(({ place }) => place === after.place)
  const horse = here ?? due[0]
  return horse && { horse }
}
