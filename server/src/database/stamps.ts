import type { Db } from './db'

const lasts = new WeakMap<Db, number>()

/** Tables whose stamps say what is newer. */
const TABLES = [
  ...['owners', 'horses', 'visits', 'foot_records', 'looks', 'patterns', 'workshops', 'sizes'],
  ...['tries', 'jobs', 'courses', 'calls', 'pictures'],
]

const DAY = 86_400_000

/** A clock that shows less was never set: this was written then. */
const WRITTEN = Date.parse('2026-12-01T00:00:00Z')

/** Sorts behind all stamps. */
const LAST = '9999-12-31T23:59:59.999Z'

/** A stamp of another clock is believed up to a day ahead of this one, ms. */
const latest = (): number => Date.now() + DAY

/** Whether a stamp lies further ahead than any clock may go wrong. */
export const isAhead = (stamp: string | undefined): boolean =>
  stamp !== undefined && !(Date.parse(stamp) <= latest())

/**
 * The time for a record that is stored now: later than any stamp that is stored. A clock that was set back does not
 * make what comes later look older; one that was far ahead for a while is not followed for ever.
 */
export function nextStamp(db: Db): string {
  let last = lasts.get(db) ?? newest(db)
  if (last > latest() && isSet()) {
    putStampsRight(db)
    last = newest(db)
  }
  const now = Math.max(Date.now(), last + 1)
  lasts.set(db, now)
  return new Date(now).toISOString()
}

/** What was stored beside this connection is looked at again. */
export const forgetStamps = (db: Db): void => void lasts.delete(db)

const isSet = (): boolean => Date.now() >= WRITTEN

/**
 * Stamps from a clock that was far ahead become those of now, in their order: else nothing that is stored from now on
 * would be newer, and beyond the year 9999 nothing could be stored at all. Where this clock was never set all stay.
 */
export function putStampsRight(db: Db): void {
  if (!isSet() || !anyAhead(db)) return
  db.transaction(() => {
    const last = new Date(latest()).toISOString()
    // Behind all that are believed: they came after them.
    const from = Math.max(Date.now(), newest(db, last) + 1)
    let moved = 0
    for (const table of TABLES) {
      for (const column of ['created_at', 'updated_at']) {
        const right = db.prepare(`UPDATE ${table} SET ${column} = @stamp WHERE id = @id`)
        const ahead = db.prepare(
          // Beyond the year 9999 a stamp begins with a sign, which sorts before all digits.
          `SELECT id FROM ${table} WHERE ${column} > @last OR ${column} < '0' ORDER BY ${column} < '0', ${column}`,
        )
        for (const { id } of ahead.all({ last }) as { id: string }[])
          right.run({ id, stamp: new Date(from + moved++).toISOString() })
      }
    }
  })()
  lasts.delete(db)
}

/** Looked at once for each table: it is done whenever data is opened. */
const anyAhead = (db: Db): boolean =>
  TABLES.some((table) => {
    const sql = `SELECT max(updated_at) AS newest, min(updated_at) AS first, max(created_at) AS made FROM ${table}`
    const { newest: last, first, made } = db.prepare(sql).get() as Record<string, string | null>
    return [last, first, made].some((stamp) => stamp !== null && stamp !== undefined && isAhead(stamp))
  })

/** @param until only stamps up to this one count */
function newest(db: Db, until = LAST): number {
  const all = TABLES.map((table) => `SELECT max(updated_at) AS at FROM ${table} WHERE updated_at <= @until`)
  const { at } = db.prepare(`SELECT max(at) AS at FROM (${all.join(' UNION ALL ')})`).get({ until }) as {
    at: string | null
  }
  return at === null ? 0 : Date.parse(at)
}
