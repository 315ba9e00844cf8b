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
  const { db: _db, facts, ...tables } = practice
  for (const table of Object.values(tables)) for (const _record of table.each());
  for (const _version of tables.patterns.eachVersion());
  tables.workshop.current()
  facts.current()
  tables.horses.allDue()
}

function answer(): Looked {
  try {
    return look(process.argv[2]!, process.argv[3])
  } catch (error) {
    return { sound: false, why: (error as Error).message, tooNew: error instanceof TooNew }
  }
}

process.send!(answer(), () => process.exit(0))
