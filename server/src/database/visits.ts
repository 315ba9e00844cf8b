import type { Visit } from '@crescent/core'
import type { Db } from './open'
import { recordTable } from './record-table'

/** Queries on visits. */
export function visits(db: Db) {
  const table = recordTable<Visit>(db, 'visits', {
    horseId: 'plain',
    date: 'plain',
    state: 'plain',
    notes: 'plain',
    closeList: 'json',
    archived: 'flag',
  })
  return {
    ...table,
    /** The visits of a horse, the newest first. */
    ofHorse: (horseId: string): Visit[] =>
      table.list('horse_id = @horseId AND archived = 0 ORDER BY date DESC, created_at DESC', { horseId }),
    /** The day of the last finished visit before this one. */
    lastBefore: (visit: Visit): string | null =>
      (
        db
          .prepare(
            `SELECT max(date) AS date FROM visits
             WHERE horse_id = @horseId AND archived = 0 AND state = 'done' AND id <> @id AND date <= @date`,
          )
          .get({ horseId: visit.horseId, id: visit.id, date: visit.date }) as { date: string | null }
      ).date,
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
