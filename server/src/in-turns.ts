import { setImmediate as turn } from 'node:timers/promises'
import { beside } from './database/beside'
import { openAgain } from './database/open'
import { practiceOn, type Practice } from './practice'

/** Others have their turn after so long, ms. */
const TURN = 8

/**
 * Does something long on a connection of its own, so that it can be one transaction while others read.
 *
 * @param file the database
 */
export async function onItsOwn<T>(file: string, work: (practice: Practice) => Promise<T>): Promise<T> {
  // To open a file takes its time too, and whoever asks for this has just read something long.
  await turn()
  const practice = practiceOn(openAgain(file))
  try {
    await turn()
    // Everything at once goes from the log into the file afterwards, beside the work.
    practice.db.pragma('wal_autocheckpoint = 0')
    const done = await work(practice)
    await beside(file, [{ pragma: 'wal_checkpoint(PASSIVE)' }])
    return done
  } finally {
    practice.db.close()
  }
}

/**
 * One transaction, all of it or nothing, in which others have their turn.
 *
 * @param practice that nobody else writes to by its connection
 * @param work calls `pause` after each step of a millisecond or so
 */
export async function inTurns<T>(
  { db }: Practice,
  work: (pause: () => Promise<void> | undefined) => Promise<T>,
): Promise<T> {
  db.exec('BEGIN IMMEDIATE')
  let since = performance.now()
  const others = async () => {
    await turn()
    since = performance.now()
  }
  try {
    const done = await work(() => (performance.now() - since < TURN ? undefined : others()))
    db.exec('COMMIT')
    return done
  } finally {
    if (db.inTransaction) db.exec('ROLLBACK')
  }
}
