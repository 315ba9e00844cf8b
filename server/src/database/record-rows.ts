import { blankOf, type Row } from './rows'

/** What every stored record has. */
export interface Stored {
  id: string
  version: number
  createdAt?: string | undefined
  updatedAt?: string | undefined
}

/** How a field is kept in its column; an optional one that was not said is not there when it is read either. */
export type FieldKind = 'plain' | 'flag' | 'json' | 'optional' | 'optional json'

/** How each of some fields is read from a row. */
type Readers<More> = { [Field in keyof More]: (row: Row) => More[Field] }

/** Records of one table as its rows. */
export interface RecordRows<T> {
  columns: readonly string[]
  toRow: (record: T) => Row
  /** Turns a row of this table into its record. */
  fromRow: (row: Row) => T
  /** The same with fields that are read from other columns of the row. */
  readingWith: <More extends object>(more: Readers<More>) => (row: Row) => T & More
  /** The record of a row as JSON. What is stored as JSON goes through as it is: to read and write it takes longer than to find it. */
  textOf: (row: Row) => string
}

/** The fields of a record, each as it is kept. */
export type FieldKinds<T> = Record<
  Exclude<keyof T & string, 'id' | 'version' | 'createdAt' | 'updatedAt'>,
  FieldKind
>

/** Columns that are worked out from the record when it is written, such as its search text. */
export type Derived<T> = Record<string, (record: T) => string | null>

/** Fields are columns of the same name in snake case. */
export function recordRows<T extends Stored>(fields: FieldKinds<T>, derived: Derived<T>): RecordRows<T> {
  const kinds = Object.entries<FieldKind>(fields).map(([field, kind]) => [field, kind, snake(field)] as const)
  const columns = [
    'id',
    'version',
    ...kinds.map(([, , column]) => column),
    ...Object.keys(derived),
    'created_at',
    'updated_at',
  ]
  const toRow = (record: T): Row => ({
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
  return { columns, toRow, fromRow: readingWith({}), readingWith, textOf }
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
