import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'

/** Nobody but the farrier's own account reads the data. */
export const PRIVATE_FOLDER = 0o700
export const PRIVATE_FILE = 0o600

/** Makes a folder only its owner may look into, where it is not there. */
export const privateFolder = (folder: string): string => {
  mkdirSync(folder, { recursive: true, mode: PRIVATE_FOLDER })
  return folder
}

/** What a database leaves beside its file. */
export const TAILS = ['-wal', '-shm'] as const

/** Copies that only pass through: downloads, uploads, what is looked at. Emptied at every start. */
export const passingFolder = (dataFolder: string): string => privateFolder(join(dataFolder, 'passing'))

/** Takes away what an earlier run left half way. */
export function tidy(dataFolder: string): void {
  rmSync(join(dataFolder, 'passing'), { recursive: true, force: true })
  for (const folder of [dataFolder, join(dataFolder, 'backups')]) {
    if (!existsSync(folder)) continue
    for (const name of readdirSync(folder)) {
      if (/\.partial(-wal|-shm)?$|^(incoming-|seeding).*\.sqlite(-wal|-shm)?$/.test(name))
        rmSync(join(folder, name), { force: true })
    }
  }
}

/** Until this returns, what was written may be lost in a power cut: a file's content, or the names in a folder. */
export function syncToDisk(path: string): void {
  const handle = openSync(path, 'r')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

/** What lies in a data folder that belongs to a practice: where any of it is, nothing is put there unasked. */
export const practiceFiles = (dataFolder: string): string[] =>
  existsSync(dataFolder)
    ? readdirSync(dataFolder).filter(
        (name) => /^(crescent|aside)\.sqlite/.test(name) || /^(backups|restoring)$/.test(name),
      )
    : []
