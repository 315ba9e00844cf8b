import type { WorkshopRecord } from '@crescent/core'
import type { Db } from '../../database/db'
import { recordTable } from '../../database/record-table'

/** There is one workshop in a practice so far; its id is fixed so that every window writes the same record. */
const WORKSHOP_ID = '00000000-0000-4000-8000-000000000001'

/** Queries on the workshop's own figures. */
export function workshop(db: Db) {
  const table = recordTable<WorkshopRecord>(db, 'workshops', { figures: 'json' })
  return {
    ...table,
    /** As stored, or the untouched one at version 0. */
    current: (): WorkshopRecord => table.get(WORKSHOP_ID) ?? { id: WORKSHOP_ID, version: 0, figures: {} },
  }
}
