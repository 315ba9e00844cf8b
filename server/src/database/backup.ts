import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs'
import { basename, join } from 'node:path'
import Database from 'better-sqlite3'
import { databaseFile, openDatabase, type Db } from './open'

/** The file is damaged, or is no backup at all. */
export class NotABackup extends Error {}

/** A name that sorts by time: `crescent-2026-11-23T09-30-00.sqlite`. */
export const backupName = (at: Date): string =>
  `crescent-${at.toISOString().slice(0, 19).replace(/:/g, '-')}.sqlite`

/** Where backups are kept within a data folder. */
export const backupFolder = (dataFolder: string): string => join(dataFolder, 'backups')

/**
 * Writes a consistent copy of the database while it is in use. The copy only gets its name once it is whole.
 *
 * @returns the file it wrote
 */
export async function backUp(db: Db, file: string): Promise<string> {
  mkdirSync(join(file, '..'), { recursive: true })
  const partial = `${file}.partial`
  rmSync(partial, { force: true })
  await db.backup(partial)
  renameSync(partial, file)
  return file
}

/**
 * Puts a backup in the place of the data. The server must be stopped. What was there before is kept beside it.
 *
 * @returns where the earlier data went, if there was any
 * @throws Error when the backup is damaged or is not a Crescent database
 */
export function restore(dataFolder: string, backup: string): string | undefined {
  if (!existsSync(backup)) throw new Error(`There is no file ${backup}`)
  checkBackup(backup)
  mkdirSync(dataFolder, { recursive: true })
  const target = databaseFile(dataFolder)
  const incoming = `${target}.incoming`
  copyFileSync(backup, incoming)
  let kept: string | undefined
  if (existsSync(target)) {
    const db = new Database(target, { timeout: 0 })
    try {
      // An exclusive lock can be had only when nobody else has the file open: a running server would go on
      // writing into the file that was moved away.
      db.pragma('locking_mode = EXCLUSIVE')
      db.pragma('wal_checkpoint(TRUNCATE)')
      db.exec('BEGIN EXCLUSIVE; COMMIT')
    } catch {
      rmSync(incoming, { force: true })
      throw new Error('The data is in use: stop Crescent first, then restore')
    } finally {
      db.close()
    }
    kept = `${target}.before-${new Date().toISOString().slice(0, 19).replace(/:/g, '-')}`
    renameSync(target, kept)
  }
  for (const tail of ['-wal', '-shm']) rmSync(target + tail, { force: true })
  renameSync(incoming, target)
  openDatabase(target).close()
  return kept
}

/**
 * Looks whether a file is a sound backup.
 *
 * @throws Error when it is not
 */
export function checkBackup(file: string): void {
  let db: Database.Database | undefined
  try {
    db = new Database(file, { readonly: true })
    const sound = db.pragma('integrity_check', { simple: true })
    const known = db
      .prepare(`SELECT count(*) AS n FROM sqlite_master WHERE name IN ('horses', 'patterns')`)
      .get() as {
      n: number
    }
    if (sound === 'ok' && known.n === 2) return
  } catch {
    // Not a database at all: said below.
  } finally {
    db?.close()
  }
  throw new NotABackup(`${basename(file)} is not a sound Crescent backup: nothing was changed`)
}
