import type { Look } from '@crescent/core'
import type { Db } from '../../database/db'
import { stopsText } from '../../database/stops'
import { Conflict, recordTable } from '../../database/record-table'

/** Queries on what was looked at. */
export function looks(db: Db) {
  const table = recordTable<Look>(
    db,
    'looks',
    {
      visitId: 'plain',
      vet: 'json',
      ways: 'json',
      feet: 'json',
      advice: 'json',
      acknowledged: 'json',
    },
    { stops: stopsText },
  )
  const another = ({ id, visitId }: Look) =>
    table.list('visit_id = @visitId AND id <> @id', { visitId, id })[0]
  return {
    ...table,
    ofVisit: (visitId: string): Look | undefined => table.list('visit_id = @visitId', { visitId })[0],
    /** The looks at a horse, the newest first. */
    ofHorse: (horseId: string): Look[] =>
      (
        db
          .prepare(
            `SELECT l.* FROM looks l JOIN visits v ON v.id = l.visit_id
             WHERE v.horse_id = ? AND v.archived = 0 ORDER BY v.date DESC, v.created_at DESC`,
          )
          .all(horseId) as Record<string, unknown>[]
      ).map((row) => table.fromRow(row)),
    /** The newest look at the same horse before a visit. */
    before: (visit: { id: string; horseId: string; date: string }): Look | undefined => {
      const row = db
        .prepare(
          `SELECT l.* FROM looks l JOIN visits v ON v.id = l.visit_id
           WHERE v.horse_id = @horseId AND v.archived = 0 AND v.id <> @id AND v.date <= @date
           ORDER BY v.date DESC, v.created_at DESC LIMIT 1`,
        )
        .get({ id: visit.id, horseId: visit.horseId, date: visit.date })
      return row === undefined ? undefined : table.fromRow(row as Record<string, unknown>)
    },
    /** One visit has one look: a second one made in another window is a conflict, not a duplicate. */
    put(look: Look): Look {
      const other = another(look)
      if (other) throw new Conflict(other)
      return table.put(look)
    },
    bringIn(look: Look): Look {
      const other = another(look)
      if (other) throw new Conflict(other)
      return table.bringIn(look)
    },
  }
}
