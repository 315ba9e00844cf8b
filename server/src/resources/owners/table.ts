import type { Owner } from '@crescent/core'
import type { Db } from '../../database/db'
import { recordTable } from '../../database/record-table'
import { fold, wordsOf } from '../../database/search'

/** Queries on owners. */
export function owners(db: Db) {
  const table = recordTable<Owner>(
    db,
    'owners',
    { name: 'plain', phone: 'plain', email: 'plain', place: 'plain', notes: 'plain', archived: 'flag' },
    { search: (owner) => fold(`${owner.name} ${owner.place} ${owner.phone}`) },
    { joins: true },
  )
  return {
    ...table,
    /** Owners whose name, place or phone hold every word; by name. */
    search(text: string, archived: boolean, limit: number): Owner[] {
      const words = wordsOf(text)
      const where = ['archived = @archived', ...words.map((_, i) => `instr(search, @w${i})`)]
      return table.list(`${where.join(' AND ')} ORDER BY name COLLATE NOCASE LIMIT @limit`, {
        archived: archived ? 1 : 0,
        limit,
        ...Object.fromEntries(words.map((word, i) => [`w${i}`, word])),
      })
    },
  }
}
