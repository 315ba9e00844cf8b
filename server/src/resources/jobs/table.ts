import type { DatedJob, Job } from '@crescent/core'
import type { Db } from '../../database/db'
import { recordTable } from '../../database/record-table'

/** Queries on shoes that were cut and made. */
export function jobs(db: Db) {
  const table = recordTable<Job>(db, 'jobs', {
    ...{ visitId: 'plain', side: 'plain', section: 'json', style: 'plain' },
    ...{ predicted: 'plain', used: 'plain', left: 'plain', heats: 'plain', counted: 'flag' },
  })
  const dated = db.prepare(
    `SELECT j.*, v.date, h.name AS horse FROM jobs j
     JOIN visits v ON v.id = j.visit_id JOIN horses h ON h.id = v.horse_id
     WHERE v.archived = 0 ORDER BY v.date DESC, j.created_at DESC LIMIT @limit`,
  )
  return {
    ...table,
    /** The newest first, with the day and the horse of their visits. */
    newest: (limit: number): DatedJob[] =>
      (dated.all({ limit }) as Record<string, unknown>[]).map((row) => ({
        ...table.fromRow(row),
        date: row['date'] as string,
        horse: row['horse'] as string,
      })),
  }
}
