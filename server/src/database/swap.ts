import { existsSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { PRIVATE_FILE, syncToDisk, TAILS } from './files'
import { databaseFile } from './open'

/** Where a checked database waits that is to take the place of the data. */
export const swapFolder = (dataFolder: string): string => join(dataFolder, 'restoring')

/** The database that waits there. */
export const incomingFile = (dataFolder: string): string => join(swapFolder(dataFolder), 'incoming.sqlite')

/** Whether it may take the place: written once everything else is done. */
const marker = (dataFolder: string): string => join(swapFolder(dataFolder), 'ready')

/** The waiting database takes the place of the data. Nobody may have either of them open. */
export function swapIn(dataFolder: string): void {
  syncToDisk(incomingFile(dataFolder))
  writeFileSync(marker(dataFolder), '', { mode: PRIVATE_FILE })
  syncToDisk(marker(dataFolder))
  syncToDisk(swapFolder(dataFolder))
  // A kill from here on is finished by the next start, one before it leaves everything as it was.
  finishSwap(dataFolder)
}

/** Ends a swap that was cut short: forward where everything was ready, else back. Harmless where there was none. */
export function finishSwap(dataFolder: string): void {
  const folder = swapFolder(dataFolder)
  if (!existsSync(folder)) return
  const incoming = incomingFile(dataFolder)
  if (existsSync(marker(dataFolder)) && existsSync(incoming)) {
    const target = databaseFile(dataFolder)
    for (const tail of TAILS) rmSync(target + tail, { force: true })
    renameSync(incoming, target)
    syncToDisk(dataFolder)
  }
  rmSync(folder, { recursive: true, force: true })
}
