import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { basename, join } from 'node:path'
import Database from 'better-sqlite3'
import { isDamage, NotABackup } from './backup'
import { privateFolder, syncToDisk, TAILS } from './files'
import { lookThrough } from './looked'
import { databaseFile } from './open'
import { finishSwap, incomingFile, swapFolder, swapIn } from './swap'

/**
 * Puts a backup in the place of the data. The server must be stopped. What was there before is kept beside it.
 *
 * @returns where the earlier data went, if there was any
 * @throws Error when the backup is damaged or none, or when the data is in use; nothing is changed then
 */
export async function restore(dataFolder: string, backup: string): Promise<string | undefined> {
  if (!existsSync(backup)) throw new Error(`There is no file ${backup}`)
  privateFolder(dataFolder)
  finishSwap(dataFolder)
  const target = databaseFile(dataFolder)
  try {
    await prepare(dataFolder, backup)
    refuseInUse(target)
    const kept = keepBeside(target)
    swapIn(dataFolder)
    return kept
  } finally {
    rmSync(swapFolder(dataFolder), { recursive: true, force: true })
  }
}

/**
 * Copies a backup into a folder of its own, looks through it and brings its tables up to date there: what is put in the place
 * of the data is known to open.
 *
 * @throws NotABackup when it is damaged or none; TooNew when a newer Crescent wrote it
 */
export async function prepare(dataFolder: string, backup: string): Promise<void> {
  rmSync(swapFolder(dataFolder), { recursive: true, force: true })
  privateFolder(swapFolder(dataFolder))
  const incoming = incomingFile(dataFolder)
  try {
    await copyWhole(backup, incoming)
  } catch (error) {
    if (isDamage(error)) throw notSound(backup)
    throw error
  }
  await lookThrough(incoming)
  for (const tail of TAILS) rmSync(incoming + tail, { force: true })
}

const notSound = (file: string): NotABackup =>
  new NotABackup(`${basename(file)} is not a sound Crescent backup: nothing was changed`)

/**
 * Looks through a file without touching it: a copy of it is.
 *
 * @throws NotABackup when it is damaged or none; TooNew when a newer Crescent wrote it
 */
export async function lookAt(file: string): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'crescent-look-'))
  const copy = join(folder, basename(file))
  try {
    await copyWhole(file, copy)
    await lookThrough(copy)
  } catch (error) {
    if (isDamage(error)) throw notSound(file)
    throw error
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** A copy with the last writes that still lie in the log beside the file. */
async function copyWhole(from: string, to: string): Promise<void> {
  let db: Database.Database | undefined
  try {
    db = new Database(from, { readonly: true })
    await db.backup(to)
  } catch (error) {
    if (isDamage(error)) throw error
    // In a folder that may not be written to, a log cannot be read in place: it is copied with its file.
    copyFileSync(from, to)
    if (existsSync(`${from}-wal`)) copyFileSync(`${from}-wal`, `${to}-wal`)
    new Database(to).close()
  } finally {
    db?.close()
  }
}

/** @throws Error where another process has the data open; damaged data is in nobody's way */
function refuseInUse(target: string): void {
  if (!existsSync(target)) return
  let db: Database.Database | undefined
  try {
    db = new Database(target, { timeout: 0 })
    // An exclusive lock can be had only when nobody else has the file open: a running server would go on
    // writing into the file that was moved away.
    db.pragma('locking_mode = EXCLUSIVE')
    db.exec('BEGIN EXCLUSIVE; COMMIT')
    db.pragma('wal_checkpoint(TRUNCATE)')
  } catch (error) {
    if (String((error as { code?: unknown }).code).startsWith('SQLITE_BUSY'))
      throw new Error('The data is in use: stop Crescent first, then restore')
    if (!isDamage(error)) throw error
  } finally {
    db?.close()
  }
}

/** A copy of the data as it is, log and all, whatever its state. */
export function keepBeside(target: string): string | undefined {
  if (!existsSync(target)) return undefined
  const kept = `${target}.before-${new Date().toISOString().slice(0, 19).replace(/:/g, '-')}`
  for (const tail of ['', ...TAILS]) if (existsSync(target + tail)) copyFileSync(target + tail, kept + tail)
  syncToDisk(kept)
  return kept
}
