import type { Visit } from '@crescent/core'
import type { Db } from '../../database/db'
import { namesOf } from '../../database/names'
import { recordTable } from '../../database/record-table'

/** Queries on visits. */
export function visits(db: Db) {
  const nameNow = namesOf(db)
  const table = recordTable<Visit>(
    db,
    'visits',
    {
      ...{ horseId: 'plain', date: 'plain', state: 'plain', notes: 'plain', closeList: 'json' },
      ...{ feet: 'json', nextDue: 'plain', archived: 'flag' },
    },
    {},
    { names: 'horseId' },
  )
  return {
    ...table,
    /** The visits of a horse, the newest first. */
    ofHorse: (horseId: string): Visit[] =>
      table.list('horse_id = @horseId AND archived = 0 ORDER BY date DESC, created_at DESC', {
        horseId: nameNow(horseId),
      }),
    /** The last finished visit before this one. */
    lastBefore: (visit: Visit): Visit | undefined =>
      table.list(
        `horse_id = @horseId AND archived = 0 AND state = 'done' AND id <> @id AND date <= @date
         ORDER BY date DESC, created_at DESC LIMIT 1`,
        { horseId: visit.horseId, id: visit.id, date: visit.date },
      )[0],
    /** The visit before this one at which feet were measured. */
    before: (visit: Visit): Visit | undefined =>
      table.list(
        `horse_id = @horseId AND archived = 0 AND id <> @id AND date <= @date
         AND EXISTS (SELECT 1 FROM foot_records f WHERE f.visit_id = visits.id)
         ORDER BY date DESC, created_at DESC LIMIT 1`,
        { horseId: visit.horseId, id: visit.id, date: visit.date },
      )[0],
  }
}
