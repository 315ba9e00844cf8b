import { beside } from '../../database/beside'
import type { Practice } from '../../practice'

/**
 * Writes over what was erased: free pages and the log go too. Whether that is still to be done stands in the data from the
 * moment something is erased, so that a kill or a full disk between the two leaves it to the next start.
 *
 * @returns why it could not be done yet; undefined once nothing is left of it
 */
export async function writeOver({ db, facts }: Practice): Promise<unknown> {
  try {
    await beside(db.name, [{ sql: 'VACUUM' }])
    // Busy: somebody still reads what stood before, and the log has to be kept for him.
    const busy = await beside(db.name, [{ pragma: 'wal_checkpoint(TRUNCATE)' }])
    if (busy !== 0) return new Error('Something still reads the data as it was')
    facts.set({ traces: false })
    return undefined
  } catch (error) {
    return error
  }
}
