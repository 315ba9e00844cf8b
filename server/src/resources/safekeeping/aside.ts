import { existsSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { facts } from '../practice/table'
import type { Db } from '../../database/db'
import { databaseFile } from '../../database/open'
import { openPractice, type Practice } from '../../practice'

/** Where the practice lies that is not open: the demo beside one's own, or the other way round. */
export const asideFile = (dataFolder: string): string => join(dataFolder, 'aside.sqlite')

/** What lies aside, if anything does. */
export function whatLiesAside(dataFolder: string): 'demo' | 'own' | null {
  const file = asideFile(dataFolder)
  if (!existsSync(file)) return null
  const db = new Database(file, { readonly: true })
  try {
    return facts(db).current().demo ? 'demo' : 'own'
  } finally {
    db.close()
  }
}

/** Closes a database so that everything lies in its one file. */
export function closeWhole(db: Db): void {
  db.pragma('wal_checkpoint(TRUNCATE)')
  db.close()
}

/** Takes a file out of the way of another, with what its database left beside it. */
export function moveDatabase(from: string, to: string): void {
  renameSync(from, to)
  for (const tail of ['-wal', '-shm']) rmSync(from + tail, { force: true })
}

/**
 * Opens another database file in the place of the one in use. Every route holds the same practice: its queries are
 * exchanged within it, between two requests.
 *
 * @param change moves the files while none of them is open
 */
export function reopen(practice: Practice, dataFolder: string, change: () => void): void {
  closeWhole(practice.db)
  try {
    change()
  } finally {
    Object.assign(practice, openPractice(databaseFile(dataFolder)))
  }
}

/** Sets the open practice aside and opens an empty one. */
export function setAside(practice: Practice, dataFolder: string): void {
  reopen(practice, dataFolder, () => moveDatabase(databaseFile(dataFolder), asideFile(dataFolder)))
}

const passing = (dataFolder: string): string => `${asideFile(dataFolder)}.passing`

/** Ends an exchange that was cut short: forward where its middle was reached, else back. */
export function finishExchange(dataFolder: string): void {
  const waiting = passing(dataFolder)
  if (!existsSync(waiting)) return
  const to = existsSync(databaseFile(dataFolder)) ? asideFile(dataFolder) : databaseFile(dataFolder)
  renameSync(waiting, to)
}

/** Opens what lies aside, and sets aside what is open. */
export function swapAside(practice: Practice, dataFolder: string): void {
  const file = databaseFile(dataFolder)
  const aside = asideFile(dataFolder)
  const waiting = passing(dataFolder)
  reopen(practice, dataFolder, () => {
    moveDatabase(aside, waiting)
    moveDatabase(file, aside)
    moveDatabase(waiting, file)
  })
}
