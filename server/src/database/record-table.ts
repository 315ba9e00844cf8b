import { isDeepStrictEqual } from 'node:util'
import type { Db } from './db'
import { blankOf, rowsOf, type Row } from './rows'
import { nextStamp } from './stamps'

/** What every stored record has. */
export interface Stored {
  id: string
  version: number
  createdAt?: string | undefined
  updatedAt?: string | undefined
}

/** Refused because the stored record is not the one that was changed. Carries what is stored. */
export class Conflict extends Error {
  constructor(readonly current: unknown) {
    super('Changed elsewhere since it was read')
    this.name = 'Conflict'
  }
}

/** Refused because a record would leave what it belongs to. */
export class Misplaced extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'Misplaced'
  }
}

/** How a field is kept in its column; an optional one that was not said is not there when it is read either. */
export type FieldKind = 'plain' | 'flag' | 'json' | 'optional' | 'optional json'

/** How each of some fields is read from a row. */
type Readers<More> = { [Field in keyof More]: (row: Row) => More[Field] }

export interface RecordTable<T extends Stored> {
  get(id: string): T | undefined
  /**
   * Stores a record and returns it as stored. Version 0 makes a new one; otherwise the version must be the stored one.
   * A repeat of a request that was already done answers what it answered then.
   *
   * @throws Conflict when somebody else changed it
   */
  put(record: T): T
  /** Stores a record that is not here yet just as it was elsewhere: version and stamps stay. */
  bringIn(record: T): T
  /** All records one after the other, by id: for more than fit into memory. */
  each(): IterableIterator<T>
  /** All records, or those that a condition on columns picks. */
  list(where?: string, parameters?: Record<string, unknown>): T[]
  /** Turns a row of this table into its record. */
  fromRow(row: Row): T
  /** The same with fields that are read from other columns of the row. */
  readingWith<More extends object>(more: Readers<More>): (row: Row) => T & More
  /** The record of a row as JSON. What is stored as JSON goes through as it is: to read and write it takes longer than to find it. */
  textOf(row: Row): string
}

/**
 * The plain SQL of one table of versioned records. Fields are columns of the same name in snake case.
 *
 * @param derived columns worked out from the record when it is written, such as its search text
 */
export function recordTable<T extends Stored>(
  db: Db,
  table: string,
  fields: Record<Exclude<keyof T & string, 'id' | 'version' | 'createdAt' | 'updatedAt'>, FieldKind>,
  derived: Record<string, (record: T) => string | null> = {},
): RecordTable<T> {
  const kinds = Object.entries<FieldKind>(fields).map(([field, kind]) => [field, kind, snake(field)] as const)
  const columns = [
    'id',
    'version',
    ...kinds.map(([, , column]) => column),
    ...Object.keys(derived),
    'created_at',
    'updated_at',
  ]
  const insert = db.prepare(
    `INSERT INTO ${table} (${columns.join(', ')}) VALUES (${columns.map((c) => `@${c}`).join(', ')})`,
  )
  const update = db.prepare(
    `UPDATE ${table} SET ${columns
      .filter((c) => c !== 'id' && c !== 'created_at')
      .map((c) => `${c} = @${c}`)
      .join(', ')} WHERE id = @id`,
  )
  const select = db.prepare(`SELECT * FROM ${table} WHERE id = ?`)

  const toRow = (record: T): Record<string, unknown> => ({
    id: record.id,
    version: record.version,
    ...Object.fromEntries(kinds.map(([f, kind, column]) => [column, encode(record[f as keyof T], kind)])),
    ...Object.fromEntries(Object.entries(derived).map(([column, make]) => [column, make(record)])),
    created_at: record.createdAt,
    updated_at: record.updatedAt,
  })
  // Settled once: a list of a hundred records asks for each of its fields.
  const readers = kinds.map(([field, kind, column]) => ({ field, column, ...READ[kind] }))
  const always = readers.flatMap(({ field, optional }) => (optional ? [] : field))
  const readingWith = <More extends object>(more: Readers<More>): ((row: Row) => T & More) => {
    const others = Object.entries<(row: Row) => unknown>(more)
    const blank = blankOf([
      'id',
      'version',
      ...always,
      'createdAt',
      'updatedAt',
      ...others.map(([field]) => field),
    ])
    return (row) => {
      const record = { ...blank }
      record['id'] = row['id']
      record['version'] = row['version']
      for (const { field, column, optional, read } of readers) {
        const value = row[column]
        if (optional && value === null) continue
        record[field] = read ? read(value) : value
      }
      record['createdAt'] = row['created_at']
      record['updatedAt'] = row['updated_at']
      for (const [field, read] of others) record[field] = read(row)
      return record as unknown as T & More
    }
  }
  const fromRow = readingWith({})
  const named = [['id', 'plain', 'id'], ['version', 'plain', 'version'], ...kinds, ...STAMPS] as const
  const textOf = (row: Row): string => {
    const parts = named.flatMap(([field, kind, column]) => {
      const value = row[column]
      const { optional, read } = READ[kind]
      if (optional && value === null) return []
      return [
        `"${field}":${kind.endsWith('json') ? (value as string) : JSON.stringify(read ? read(value) : value)}`,
      ]
    })
    return `{${parts.join(',')}}`
  }
  const get = (id: string): T | undefined => {
    const row = select.get(id) as Row | undefined
    return row && fromRow(row)
  }

  return {
    get,
    fromRow,
    readingWith,
    textOf,
    list: (where = '1', parameters = {}) =>
      rowsOf(db.prepare(`SELECT * FROM ${table} WHERE ${where}`))(parameters).map(fromRow),
    *each() {
      const rows = db.prepare(`SELECT * FROM ${table} ORDER BY id`).iterate()
      for (const row of rows) yield fromRow(row as Row)
    },
    bringIn(record) {
      const now = nextStamp(db)
      const brought = {
        ...record,
        version: Math.max(1, record.version),
        createdAt: record.createdAt ?? now,
        updatedAt: record.updatedAt ?? now,
      }
      insert.run(toRow(brought))
      return brought
    },
    put(record) {
      const stored = get(record.id)
      if (!stored) {
        if (record.version !== 0) throw new Conflict(undefined)
        const now = nextStamp(db)
        const made = { ...record, version: 1, createdAt: now, updatedAt: now }
        insert.run(toRow(made))
        return made
      }
      if (stored.version === record.version + 1 && sameContent(stored, record)) return stored
      if (stored.version !== record.version) throw new Conflict(stored)
      const changed = {
        ...record,
        version: record.version + 1,
        createdAt: stored.createdAt,
        updatedAt: nextStamp(db),
      }
      update.run(toRow(changed))
      return changed
    },
  }
}

/** The same but for version and stamps. */
export function sameContent(a: Stored, b: Stored): boolean {
  const content = (record: Stored) => {
    const { version: _version, createdAt: _created, updatedAt: _updated, ...rest } = record
    // Through JSON, so that a missing field and an undefined one are the same.
    return JSON.parse(JSON.stringify(rest)) as unknown
  }
  return isDeepStrictEqual(content(a), content(b))
}

const STAMPS = [
  ['createdAt', 'plain', 'created_at'],
  ['updatedAt', 'plain', 'updated_at'],
] as const

const snake = (field: string): string => field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)

function encode(value: unknown, kind: FieldKind): unknown {
  if (kind === 'json' || (kind === 'optional json' && value !== undefined)) return JSON.stringify(value)
  if (kind === 'flag') return value ? 1 : 0
  return value ?? null
}

/** How what a column holds is read; as it is where nothing is said. */
const READ: Record<FieldKind, { optional: boolean; read?: (value: unknown) => unknown }> = {
  plain: { optional: false },
  optional: { optional: true },
  flag: { optional: false, read: (value) => value === 1 },
  json: { optional: false, read: (value) => JSON.parse(value as string) as unknown },
  'optional json': { optional: true, read: (value) => JSON.parse(value as string) as unknown },
}
