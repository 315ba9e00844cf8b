import type { FootRecord } from '@crescent/core'
import type { Db } from '../../database/db'
import { Conflict, recordTable } from '../../database/record-table'

/** Queries on feet as they were measured. */
export function footRecords(db: Db) {
  const table = recordTable<FootRecord>(db, 'foot_records', {
    visitId: 'plain',
    side: 'plain',
    foot: 'json',
    patternId: 'plain',
    notes: 'plain',
  })
  const sameFoot = ({ id, visitId, side }: FootRecord) =>
    table.list('visit_id = @visitId AND side = @side AND id <> @id', { visitId, side, id })[0]
  return {
    ...table,
    ofVisit: (visitId: string): FootRecord[] => table.list('visit_id = @visitId', { visitId }),
    ofHorse: (horseId: string): FootRecord[] =>
      table.list('visit_id IN (SELECT id FROM visits WHERE horse_id = @horseId AND archived = 0)', {
        horseId,
      }),
    /** One foot has one record at a visit: a second one made in another window is a conflict, not a duplicate. */
    put(record: FootRecord): FootRecord {
      const other = sameFoot(record)
      if (other) throw new Conflict(other)
      return table.put(record)
    },
    bringIn(record: FootRecord): FootRecord {
      const other = sameFoot(record)
      if (other) throw new Conflict(other)
      return table.bringIn(record)
    },
  }
}
