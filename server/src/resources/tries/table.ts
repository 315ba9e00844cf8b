import type { DatedTry, Try } from '@crescent/core'
import type { Db } from '../../database/db'
import { recordTable } from '../../database/record-table'

/** Queries on shoes that were tried on. */
export function tries(db: Db) {
  const table = recordTable<Try>(db, 'tries', {
    ...{ visitId: 'plain', side: 'plain', shoe: 'plain', handmade: 'flag' },
    ...{ walks: 'plain', heats: 'plain', minutes: 'plain', fits: 'flag', before: 'plain' },
    ...{ corrections: 'json', twist: 'optional', cup: 'optional', contacts: 'json' },
  })
  const dated = db.prepare(
    `SELECT t.*, v.date, h.name AS horse FROM tries t
     JOIN visits v ON v.id = t.visit_id JOIN horses h ON h.id = v.horse_id
     WHERE v.archived = 0 AND (@visitId IS NULL OR t.visit_id = @visitId) AND v.date >= @since
     ORDER BY t.created_at`,
  )
  const minutes = db.prepare(
    `SELECT round(avg(took)) AS minutes FROM (
       SELECT sum(t.minutes) AS took FROM tries t JOIN visits v ON v.id = t.visit_id
       WHERE v.horse_id = ? AND v.archived = 0 AND t.minutes IS NOT NULL
       GROUP BY v.id ORDER BY v.date DESC LIMIT 6)`,
  )
  return {
    ...table,
    /** What the shoes of a horse took at its last visits, all feet together; null where nothing was logged. */
    minutesOf: (horseId: string): number | null =>
      (minutes.get(horseId) as { minutes: number | null }).minutes,
    /** In the order they were logged: of one visit, or all from a day on, `2026-11-28`. */
    dated: (asked: { visitId?: string | undefined; since?: string } = {}): DatedTry[] =>
      (
        dated.all({ visitId: asked.visitId ?? null, since: asked.since ?? '' }) as Record<string, unknown>[]
      ).map((row) => ({
        ...table.fromRow(row),
        date: row['date'] as string,
        horse: row['horse'] as string,
      })),
  }
}
