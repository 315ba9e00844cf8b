import type { Db } from './db'
import { accessSync, constants, statSync } from 'node:fs'
import { dirname } from 'node:path'

/** The data is not where it was when it was opened, or can no longer be written. */
export class DataGone extends Error {}

/** What a fault of disk or database means, for who reads it; undefined for faults of another kind. */
export function faultInWords(error: unknown): string | undefined {
  const given = (error as { code?: unknown } | null)?.code
  const code = typeof given === 'string' ? given : ''
  if (/^(SQLITE_FULL|ENOSPC|EDQUOT)/.test(code))
    return 'The disk is full: nothing was stored. Make room, then try again'
  if (/^(SQLITE_READONLY|EROFS|EACCES|EPERM)/.test(code))
    return 'The data may only be read here: nothing was stored. Let Crescent write to its data folder'
  if (/^SQLITE_CANTOPEN/.test(code))
    return 'The data cannot be opened: look whether its folder is there and may be written'
  if (/^SQLITE_(CORRUPT|NOTADB)/.test(code))
    return 'The data is damaged. Stop Crescent, keep the data folder as it is, and put the last backup back with npm run restore'
  if (/^SQLITE_IOERR/.test(code)) return 'The disk does not answer as it should: nothing was stored'
  if (/^SQLITE_BUSY/.test(code)) return 'The data is in use by another program: nothing was stored. Try again'
  return undefined
}

const GONE =
  'The data folder is not where it was, or may no longer be written: nothing was stored. Put it back, or start Crescent anew'

const opened = new WeakMap<Db, { dev: number; ino: number }>()

/** Remembers which file a database was opened from. */
export function rememberFile(db: Db): void {
  const { dev, ino } = statSync(db.name)
  opened.set(db, { dev, ino })
}

/**
 * Looks whether a name still leads to the file that is open: an open file can be written long after its folder was taken
 * away, and what is stored there is lost.
 *
 * @throws DataGone
 */
export function checkStillThere(db: Db): void {
  const was = opened.get(db)
  const is = statSync(db.name, { throwIfNoEntry: false })
  if (was && (is?.ino !== was.ino || is.dev !== was.dev)) throw new DataGone(GONE)
  try {
    accessSync(db.name, constants.W_OK)
    accessSync(dirname(db.name), constants.W_OK)
  } catch {
    throw new DataGone(GONE)
  }
}
