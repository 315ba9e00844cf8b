import type { Statement } from 'better-sqlite3'

/** A row as columns by their names. */
export type Row = Record<string, unknown>

/**
 * Every row of a statement as an object. Read as lists and named here: made by the database's own binding, each name of
 * each object is handed over anew, which takes as long as finding the rows does.
 */
export function rowsOf(statement: Statement): (parameters?: unknown) => Row[] {
  statement.raw()
  const names = statement.columns().map(({ name }) => name)
  const blank = blankOf(names)
  return (parameters = {}) =>
    (statement.all(parameters) as unknown[][]).map((values) => {
      const row = { ...blank }
      for (let i = 0; i < names.length; i++) row[names[i]!] = values[i]
      return row
    })
}

/**
 * An object with these names and nothing under them, to be copied and filled: objects that get their names one after the
 * other take twice the memory and more, and clearing that away is what makes every twentieth answer late.
 */
export const blankOf = (names: readonly string[]): Row =>
  JSON.parse(JSON.stringify(Object.fromEntries(names.map((name) => [name, null])))) as Row
