import { beside } from '../../database/beside'
import type { Practice } from '../../practice'

/**
 * Writes over what was erased: the database does so with its pages as they are freed, and here the log beside it goes. Whether
 * that is still to be done stands in the data from the moment something is erased, so that a kill or a full disk between the
 * two leaves it to the next start.
 *
 * @returns why it could not be done yet; undefined once nothing is left of it
 */
export async function writeOver({ db, facts }: Practice): Promise<unknown> {
  try {
    // Busy: somebody still reads what stood before, and the log has to be kept for him.
    const busy = await beside(db.name, [{ pragma: 'wal_checkpoint(TRUNCATE)' }])
    if (busy !== 0) return new Error('Something still reads the data as it was')
    facts.set({ traces: false })
    return undefined
  } catch (error) {
    return error
  }
}

/** Gives the room of what was taken out back to the disk. It writes the whole file anew: asked for, or at night. */
export async function makeSmaller(practice: Practice): Promise<unknown> {
  try {
    await beside(practice.db.name, [{ sql: 'VACUUM' }])
  } catch (error) {
    return error
  }
  return writeOver(practice)
}

/** Whether a good part of the file is room that nothing stands in. */
export function hasRoom({ db }: Practice): boolean {
  const pages = (pragma: string) => db.pragma(pragma, { simple: true }) as number
  return pages('freelist_count') > pages('page_count') / 10
}
