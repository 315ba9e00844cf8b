import { isDeepStrictEqual } from 'node:util'
import type { Db } from './db'
import { erasedIn, Gone, namesOf } from './names'
import { recordRows, type Derived, type FieldKinds, type RecordRows, type Stored } from './record-rows'
import { rowsOf, type Row } from './rows'
import { nextStamp, seenStamp } from './stamps'

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

/** The records of one table, and how they are read from rows of other queries. */
export interface RecordTable<T extends Stored> extends Omit<RecordRows<T>, 'columns' | 'toRow'> {
  /** The record of an id, or the one it became one with. */
  get(id: string): T | undefined
  /** The record that was stored under this id, whatever it became. */
  itself(id: string): T | undefined
  /**
   * Stores a record and returns it as stored. Version 0 makes a new one; otherwise the version must be the stored one.
   * A repeat of a request that was already done answers what it answered then.
   *
   * @throws Conflict when somebody else changed it; Gone where it was erased
   */
  put(record: T): T
  /** Stores a record that is not here yet just as it was elsewhere: version and stamps stay. */
  bringIn(record: T): T
  /** All records one after the other, by id: for more than fit into memory. */
  each(): IterableIterator<T>
  /** All records, or those that a condition on columns picks. */
  list(where?: string, parameters?: Record<string, unknown>): T[]
}

/** How records of a table are led on where two of them became one. */
interface Led<T> {
  /** Two of them may become one: the old id is read and written as the new one. */
  joins?: boolean
  /** A field that names another record that may have become one with a third. */
  names?: keyof T & string
}

/** The plain SQL of one table of versioned records. */
export function recordTable<T extends Stored>(
  db: Db,
  table: string,
  fields: FieldKinds<T>,
  derived: Derived<T> = {},
  { joins = false, names }: Led<T> = {},
): RecordTable<T> {
  const { columns, toRow, ...reading } = recordRows(fields, derived)
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

  const nameNow = namesOf(db)
  const isErased = erasedIn(db)
  const notErased = db.prepare('DELETE FROM erased WHERE id = ?')

  const itself = (id: string): T | undefined => {
    const row = select.get(id) as Row | undefined
    return row && reading.fromRow(row)
  }
  const get = (id: string): T | undefined => itself(joins ? nameNow(id) : id)
  /** What was sent, led to the records that it and what it names have become. */
  const led = (record: T): T => {
    const named = names === undefined ? null : record[names]
    return {
      ...record,
      ...(joins && { id: nameNow(record.id) }),
      ...(typeof named === 'string' && { [names!]: nameNow(named) }),
    }
  }

  return {
    ...reading,
    get,
    itself,
    list: (where = '1', parameters = {}) =>
      rowsOf(db.prepare(`SELECT * FROM ${table} WHERE ${where}`))(parameters).map(reading.fromRow),
    *each() {
      const rows = db.prepare(`SELECT * FROM ${table} ORDER BY id`).iterate()
      for (const row of rows) yield reading.fromRow(row as Row)
    },
    bringIn(sent) {
      const record = led(sent)
      // Whoever brings a file in says so: what was erased comes back by it, and by nothing else.
      notErased.run(record.id)
      const { createdAt, updatedAt } = record
      const now = createdAt === undefined || updatedAt === undefined ? nextStamp(db) : ''
      const brought = {
        ...record,
        version: Math.max(1, record.version),
        createdAt: createdAt ?? now,
        updatedAt: updatedAt ?? now,
      }
      insert.run(toRow(brought))
      seenStamp(db, brought.updatedAt)
      return brought
    },
    put(sent) {
      const record = led(sent)
      const stored = itself(record.id)
      if (!stored) {
        if (isErased(record.id)) throw new Gone()
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
