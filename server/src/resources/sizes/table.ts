import type { Size } from '@crescent/core'
import type { Db } from '../../database/db'
import { recordTable } from '../../database/record-table'

/** Queries on the table of factory sizes. */
export function sizes(db: Db) {
  const table = recordTable<Size>(db, 'sizes', {
    ...{ label: 'plain', range: 'plain', kind: 'plain', feet: 'plain' },
    ...{ web: 'plain', thickness: 'plain', length: 'plain', lengthDerived: 'flag', width: 'optional' },
    ...{ holes: 'json', clips: 'optional', weight: 'optional', crease: 'optional' },
    ...{ price: 'plain', onVan: 'plain', keepOnVan: 'plain', archived: 'flag' },
  })
  return {
    ...table,
    /** In the order they hang on the van: by range, the smallest first. */
    all: (archived = false): Size[] =>
      table.list('archived = @archived ORDER BY range COLLATE NOCASE, length, label', {
        archived: archived ? 1 : 0,
      }),
  }
}
