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
  return {
    ...table,
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
