import { reopen } from './aside'
import { backUpInto, backupFolder, Damaged } from '../../database/backup'
import { databaseFile } from '../../database/open'
import { keepBeside, prepare } from '../../database/restore'
import { swapIn } from '../../database/swap'
import type { Practice } from '../../practice'

/**
 * Puts a backup in the place of the open practice while the server runs.
 *
 * @returns the file that holds what was there before
 * @throws NotABackup, TooNew; nothing is changed then
 */
export async function putBack(practice: Practice, dataFolder: string, backup: string): Promise<string> {
  await prepare(dataFolder, backup)
  let kept: string | undefined
  try {
    kept = await backUpInto(practice.db, backupFolder(dataFolder), new Date(), 'before-')
  } catch (error) {
    // Damaged data is no backup, and must not stand in the way of one: it is kept as it is.
    if (!(error instanceof Damaged)) throw error
  }
  reopen(practice, dataFolder, () => {
    kept ??= keepBeside(databaseFile(dataFolder))
    swapIn(dataFolder)
  })
  return kept ?? ''
}
