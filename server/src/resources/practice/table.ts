import type { UsualShoe } from '@crescent/core'
import type { Db } from '../../database/db'

/** What is true of a practice as a whole. */
export interface Facts {
  name: string
  demo: boolean
  usual: UsualShoe | null
  /** Something was erased that may still be read in the file, see `writeOver`. */
  traces: boolean
}

const NONE: Facts = { name: '', demo: false, usual: null, traces: false }

/** Queries on the facts of a practice. */
export function facts(db: Db) {
  const all = db.prepare<[], { key: string; value: string }>('SELECT key, value FROM practice_facts')
  const put = db.prepare<[string, string]>(
    'INSERT INTO practice_facts (key, value) VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value',
  )
  return {
    current: (): Facts => {
      const known = Object.fromEntries(all.all().map(({ key, value }) => [key, JSON.parse(value) as unknown]))
      return { ...NONE, ...known }
    },
    set: (changes: Partial<Facts>): void => {
      for (const [key, value] of Object.entries(changes)) put.run(key, JSON.stringify(value))
    },
  }
}
