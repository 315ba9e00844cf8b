import { chmodSync, existsSync, linkSync, lstatSync, renameSync, rmSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import { basename, dirname, join } from 'node:path'
import Database from 'better-sqlite3'
import { beside } from './beside'
import { PRIVATE_FILE, privateFolder, syncToDisk, TAILS } from './files'
import type { Db } from './db'

/** The file is damaged, or is no backup at all. */
export class NotABackup extends Error {}

/** The data itself is damaged: a copy of it would be no backup. */
export class Damaged extends Error {}

/** Something lies where a backup was to go. */
export class Taken extends Error {}

/** A name that sorts by time: `crescent-2026-11-23T09-30-00.sqlite`. */
export const backupName = (at: Date): string =>
  `crescent-${at.toISOString().slice(0, 19).replace(/:/g, '-')}.sqlite`

/** Where backups are kept within a data folder. */
export const backupFolder = (dataFolder: string): string => join(dataFolder, 'backups')

/**
 * Writes a consistent copy of the database while it is in use. It only gets its name once it is whole, sound and on the
 * disk.
 *
 * @param replace a plain file of that name may be written over
 * @returns the file it wrote
 * @throws Taken where something lies there that may not be written over
 * @throws Damaged where the data is not sound
 */
export async function backUp(db: Db, file: string, { replace = false } = {}): Promise<string> {
  refuseTaken(file, replace)
  privateFolder(dirname(file))
  const partial = `${file}.${randomUUID().slice(0, 8)}.partial`
  try {
    try {
      await db.backup(partial)
    } catch (error) {
      if (isDamage(error)) throw new Damaged(DAMAGED)
      throw error
    }
    if (!(await isSoundBeside(partial))) throw new Damaged(DAMAGED)
    chmodSync(partial, PRIVATE_FILE)
    syncToDisk(partial)
    if (replace) renameSync(partial, file)
    // A link is refused where another backup took the name meanwhile.
    else linkSync(partial, file)
    syncToDisk(dirname(file))
    return file
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') throw taken(file)
    throw error
  } finally {
    // To look through it leaves what a database leaves beside its file.
    for (const tail of ['', ...TAILS]) rmSync(partial + tail, { force: true })
  }
}

/** Writes a copy into a folder, under the first name of this time that is free. */
export async function backUpInto(db: Db, folder: string, at: Date, prefix = ''): Promise<string> {
  const name = prefix + backupName(at)
  for (let n = 1; ; n++) {
    try {
      return await backUp(db, join(folder, n === 1 ? name : name.replace('.sqlite', `-${n}.sqlite`)))
    } catch (error) {
      if (!(error instanceof Taken)) throw error
    }
  }
}

const DAMAGED =
  'The data is damaged: a copy of it would be no backup. Put the last sound backup back, and keep the file as it is'

const taken = (file: string): Taken =>
  new Taken(`${basename(file)} is there already: choose another name, or say that it may be replaced`)

function refuseTaken(file: string, replace: boolean): void {
  const there = lstatSync(file, { throwIfNoEntry: false })
  if (!there) return
  if (!there.isFile()) throw new Taken(`${file} is no plain file: a backup does not go there`)
  if (!replace) throw taken(file)
}

/** Whether a fault says that the file itself is broken. */
export const isDamage = (error: unknown): boolean =>
  /^SQLITE_(CORRUPT|NOTADB)/.test(String((error as { code?: unknown } | null)?.code))

/** The same as `isSound`, while requests are answered. */
const isSoundBeside = (file: string): Promise<boolean> =>
  beside(file, [{ pragma: 'integrity_check' }], true).then(
    (answer) => answer === 'ok',
    () => false,
  )

/** Looks through a whole file; false where it is broken or no database. */
export function isSound(file: string): boolean {
  if (!existsSync(file)) return false
  let db: Database.Database | undefined
  try {
    db = new Database(file, { readonly: true })
    return db.pragma('integrity_check', { simple: true }) === 'ok'
  } catch {
    return false
  } finally {
    db?.close()
  }
}
