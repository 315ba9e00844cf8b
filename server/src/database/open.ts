import { chmodSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import Database from 'better-sqlite3'
import type { Db } from './db'
import { rememberFile } from './faults'
import { PRIVATE_FILE, privateFolder } from './files'
import { fold } from './search'
import { putStampsRight } from './stamps'
import { asLook, stopsText } from './stops'

/** Written by a newer Crescent. */
export class TooNew extends Error {}

/** The database file within a data folder. */
export const databaseFile = (dataFolder: string): string => join(dataFolder, 'crescent.sqlite')

/**
 * Opens the database, makes its folder and brings its tables up to date.
 *
 * @throws Error when the file was written by a newer Crescent
 */
export function openDatabase(file: string): Db {
  privateFolder(dirname(file))
  const db = connected(file)
  try {
    makeTables(db)
    putStampsRight(db)
    rememberFile(db)
  } catch (error) {
    db.close()
    throw error
  }
  return db
}

/** What tables are brought up to date and kept with: texts by which records are found are stored folded. */
function addFunctions(db: Db): void {
  db.function('fold', { deterministic: true }, (text) => fold(String(text)))
  db.function('stops_of', { deterministic: true }, (vet, feet, acknowledged) =>
    stopsText(asLook(String(vet), String(feet), String(acknowledged))),
  )
}

/** Another connection to a database that is open and up to date, to store something beside. */
export function openAgain(file: string): Db {
  const db = connected(file)
  addFunctions(db)
  return db
}

/** A connection as everybody has it who stores. */
function connected(file: string): Db {
  const db = new Database(file)
  chmodSync(file, PRIVATE_FILE)
  db.pragma('journal_mode = WAL')
  // FULL: once a save is answered it survives a power cut, not only a crash of this process.
  db.pragma('synchronous = FULL')
  db.pragma('foreign_keys = ON')
  // Whoever waits here holds up everybody: what comes while another writes is told to come again.
  db.pragma(`busy_timeout = ${MOST_WAIT}`)
  // What is erased is written over, not only forgotten.
  db.pragma('secure_delete = ON')
  return db
}

/**
 * Makes the tables of an empty database, or brings those of an older one up to date.
 *
 * @throws TooNew when it was written by a newer Crescent
 */
export function makeTables(db: Db): void {
  addFunctions(db)
  migrate(db)
}

/** Opens a database that is open elsewhere and up to date, only to read in it. */
export function openToRead(file: string): Db {
  const db = new Database(file, { readonly: true, fileMustExist: true })
  addFunctions(db)
  return db
}

/** For a lock of another connection, ms. */
const MOST_WAIT = 30

const MIGRATIONS = fileURLToPath(new URL('./migrations/', import.meta.url))

/** Runs the numbered SQL files that this database has not seen, each in a transaction of its own. */
function migrate(db: Db): void {
  const files = readdirSync(MIGRATIONS)
    .filter((name) => /^\d{3}-.*\.sql$/.test(name))
    .sort()
  const done = db.pragma('user_version', { simple: true }) as number
  if (done > files.length) {
    throw new TooNew(
      `The database is at step ${done}, this Crescent knows only ${files.length}: use a newer one`,
    )
  }
  files.slice(done).forEach((name, i) => {
    db.transaction(() => {
      db.exec(readFileSync(join(MIGRATIONS, name), 'utf8'))
      db.pragma(`user_version = ${done + i + 1}`)
    })()
  })
}
