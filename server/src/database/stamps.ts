import type { Db } from './db'

const lasts = new WeakMap<Db, number>()

/** Tables whose stamps say what is newer. */
const TABLES = [
  'owners',
  'horses',
  'visits',
  'foot_records',
  'looks',
  'patterns',
  'workshops',
  'sizes',
  'tries',
  'jobs',
  'courses',
  'calls',
  'pictures',
]

/**
 * The time for a record that is stored now: later than any stamp that is stored. A clock that was set back does not
 * make what comes later look older.
 */
export function nextStamp(db: Db): string {
  const last = lasts.get(db) ?? newest(db)
  const now = Math.max(Date.now(), last + 1)
  lasts.set(db, now)
  return new Date(now).toISOString()
}

/** What was stored beside this connection is looked at again. */
export const forgetStamps = (db: Db): void => void lasts.delete(db)

function newest(db: Db): number {
  const all = TABLES.map((table) => `SELECT max(updated_at) AS at FROM ${table}`).join(' UNION ALL ')
  const { at } = db.prepare(`SELECT max(at) AS at FROM (${all})`).get() as { at: string | null }
  return at === null ? 0 : Date.parse(at)
}
