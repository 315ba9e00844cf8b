// A process of its own that looks through a file as the server would use it, and says what it found.
import Database from 'better-sqlite3'
import type { Looked } from './database/looked'
import { isSound } from './database/backup'
import { makeTables, openDatabase, openToRead, TooNew } from './database/open'
import { foreignIn } from './database/schema'
import { practiceOn, type Practice } from './practice'
import { closeWhole } from './resources/safekeeping/aside'
import { lossesOf } from './resources/safekeeping/losses'

/** So many differences say enough. */
const TOLD = 3

function look(file: string, than: string | undefined): Looked {
  if (!isSound(file)) return { sound: false, why: 'it is damaged, or no database', tooNew: false }
  const foreign = foreignOnceUpToDate(file)
  if (foreign.length > 0) return { sound: false, why: foreign.slice(0, TOLD).join(', '), tooNew: false }
  const db = openDatabase(file)
  try {
    const practice = practiceOn(db)
    readAll(practice)
    if (than === undefined) return { sound: true }
    const open = openToRead(than)
    try {
      return { sound: true, losses: lossesOf(practiceOn(open), db) }
    } finally {
      open.close()
    }
  } finally {
    closeWhole(db)
  }
}

/** Brought up to date and held against our own before anything else is done with it. */
function foreignOnceUpToDate(file: string): string[] {
  const db = new Database(file)
  try {
    makeTables(db)
    return foreignIn(db)
  } finally {
    closeWhole(db)
  }
}

/** Reads every record once, and the lists a day begins with. */
function readAll(practice: Practice): void {
  const {
    owners,
    horses,
    visits,
    patterns,
    footRecords,
    looks,
    sizes,
    tries,
    jobs,
    courses,
    calls,
    pictures,
  } = practice
  const tables = [
    owners,
    horses,
    visits,
    patterns,
    footRecords,
    looks,
    sizes,
    tries,
    jobs,
    courses,
    calls,
    pictures,
  ]
  for (const table of tables) for (const _record of table.each());
  for (const _version of patterns.eachVersion());
  practice.workshop.current()
  practice.facts.current()
  horses.allDue()
}

function answer(): Looked {
  try {
    return look(process.argv[2]!, process.argv[3])
  } catch (error) {
    return { sound: false, why: (error as Error).message, tooNew: error instanceof TooNew }
  }
}

process.send!(answer(), () => process.exit(0))
