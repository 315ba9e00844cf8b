import type { Db } from './db'

/** The last stamp that was given in a file, by its name: several connections may store in one. */
const lasts = new Map<string, number>()

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
  let last = lasts.get(db.name) ?? newest(db)
  if (last > latest() && isSet()) last = putStampsRight(db)
  const now = Math.max(Date.now(), last + 1)
  lasts.set(db.name, now)
  return new Date(now).toISOString()
}

/** A record is brought in with its stamp: what is stored from now on is newer. */
export function seenStamp(db: Db, stamp: string): void {
  const last = lasts.get(db.name)
  if (last !== undefined) lasts.set(db.name, Math.max(last, Date.parse(stamp)))
}

const isSet = (): boolean => Date.now() >= WRITTEN

/**
 * Stamps from a clock that was far ahead become those of now, in their order: else nothing that is stored from now on
 * would be newer, and beyond the year 9999 nothing could be stored at all. Where this clock was never set all stay.
 * Done whenever a file is opened, so that the first who stores does not wait for it.
 *
 * @returns the newest stamp there is then, ms
 */
export function putStampsRight(db: Db): number {
  const spans = TABLES.map((table) => spanOf(db, table))
  const ahead = spans.some((span) => Object.values(span).some((stamp) => stamp !== null && isAhead(stamp)))
  if (isSet() && ahead) moveToNow(db)
  const last =
    isSet() && ahead ? newest(db) : Math.max(0, ...spans.map(({ newest: at }) => Date.parse(at ?? '') || 0))
  lasts.set(db.name, last)
  return last
}

/** The latest and the first stamp of change in a table, and the latest of making; null where it is empty. */
const spanOf = (db: Db, table: string) =>
  db
    .prepare(
      `SELECT max(updated_at) AS newest, min(updated_at) AS first, max(created_at) AS made FROM ${table}`,
    )
    .get() as Record<'newest' | 'first' | 'made', string | null>

function moveToNow(db: Db): void {
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
}

/** @param until only stamps up to this one count */
function newest(db: Db, until = LAST): number {
  const all = TABLES.map((table) => `SELECT max(updated_at) AS at FROM ${table} WHERE updated_at <= @until`)
  const { at } = db.prepare(`SELECT max(at) AS at FROM (${all.join(' UNION ALL ')})`).get({ until }) as {
    at: string | null
  }
  return at === null ? 0 : Date.parse(at)
}
