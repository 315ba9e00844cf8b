import type { PromisedCall, RoundCall } from '@crescent/core'
import type { Db } from '../../database/db'
import { namesOf } from '../../database/names'
import { recordTable } from '../../database/record-table'

/** Queries on calls that were promised. */
export function calls(db: Db) {
  const table = recordTable<PromisedCall>(
    db,
    'calls',
    {
      ...{ horseId: 'plain', date: 'plain', whom: 'plain', phone: 'plain', about: 'plain' },
      ...{ done: 'plain', said: 'plain', archived: 'flag' },
    },
    { open_on: ({ date, done, archived }) => (done === null && !archived ? date : null) },
    { names: 'horseId' },
  )
  const nameNow = namesOf(db)
  // CROSS: the few calls that wait are gone through, and not all horses for theirs.
  const waiting = db.prepare(
    `SELECT c.id, c.horse_id AS horseId, c.date, c.about, c.updated_at AS changed, h.name AS horse, h.place,
       coalesce(nullif(c.whom, ''), o.name, '') AS whom,
       CASE WHEN c.whom = '' AND c.phone = '' THEN coalesce(o.phone, '') ELSE c.phone END AS phone
     FROM calls c CROSS JOIN horses h ON h.id = c.horse_id LEFT JOIN owners o ON o.id = h.owner_id
     WHERE c.open_on IS NOT NULL AND c.open_on <= @until AND h.archived = 0 ORDER BY c.open_on, h.name`,
  )
  return {
    ...table,
    /** Of one horse: those not made yet first, then the newest first. */
    ofHorse: (horseId: string): PromisedCall[] =>
      table.list('horse_id = @horseId ORDER BY open_on IS NULL, open_on, date DESC, created_at DESC', {
        horseId: nameNow(horseId),
      }),
    /** Not made yet and promised for a day up to this one, the earliest first; to the owner where nobody else is named. */
    open: (until: string): RoundCall[] => waiting.all({ until }) as RoundCall[],
  }
}
