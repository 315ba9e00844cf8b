import type { Visit } from '@crescent/core'
import { Conflict } from '../../database/record-table'
import type { Practice } from '../../practice'

/**
 * A horse has one open visit a day: who begins another, from a second telephone or by a second tap, goes on with it.
 *
 * @throws Conflict that carries the visit that is open already
 */
export function refuseSecond({ visits }: Practice, visit: Visit): void {
  if (visit.version !== 0 || visit.archived || visits.get(visit.id)) return
  const open = visits
    .ofHorse(visit.horseId)
    .find(({ date, state }) => date === visit.date && state === 'open')
  if (open) throw new Conflict(open)
}
