import Database from 'better-sqlite3'
import type { Db } from './db'
import { makeTables } from './open'

/** One thing a database is made of. */
interface Made {
  type: string
  name: string
  sql: string
}

/** What a database is made of, by name; what SQLite keeps for itself is left out. */
function madeOf(db: Db): Map<string, Made> {
  const rows = db
    .prepare(
      `SELECT type, name, coalesce(sql, '') AS sql FROM sqlite_master WHERE name NOT LIKE 'sqlite\\_%' ESCAPE '\\'`,
    )
    .all() as Made[]
  return new Map(
    rows.map((one) => [`${one.type} ${one.name}`, { ...one, sql: one.sql.replace(/\s+/g, ' ') }]),
  )
}

/**
 * How a database that was brought up to date differs from the one this Crescent makes: name by name, and a trigger or a
 * view that bears a name of ours but says something else.
 *
 * @returns a sentence each; nothing where it is one of ours
 */
export function foreignIn(db: Db): string[] {
  const ours = new Database(':memory:')
  try {
    makeTables(ours)
    const [wanted, there] = [madeOf(ours), madeOf(db)]
    const columns = (of: Db, table: string) =>
      (of.pragma(`table_info(${JSON.stringify(table)})`) as { name: string }[])
        .map(({ name }) => name)
        .join(', ')
    return [
      ...[...wanted.keys()].filter((key) => !there.has(key)).map((key) => `the ${key} is missing`),
      ...[...there.keys()].filter((key) => !wanted.has(key)).map((key) => `the ${key} is none of Crescent’s`),
      ...[...wanted].flatMap(([key, { type, name, sql }]) => {
        if (!there.has(key)) return []
        const same =
          type === 'table' ? columns(ours, name) === columns(db, name) : there.get(key)!.sql === sql
        return same ? [] : [`the ${key} is another than Crescent’s`]
      }),
    ]
  } finally {
    ours.close()
  }
}
