import { setImmediate as turn } from 'node:timers/promises'
import Database from 'better-sqlite3'
import { practiceOn } from '../../practice'

/** A piece of this size is handed on at a time, in letters. */
const PIECE = 64 * 1024

/**
 * The whole library as JSON text, piece by piece, as it is at this moment: on a connection of its own, so that work
 * goes on beside it.
 */
export async function* libraryText(file: string): AsyncGenerator<string> {
  const db = new Database(file, { readonly: true })
  try {
    // Everything is read as it is now, whatever is stored meanwhile.
    db.exec('BEGIN')
    let piece = ''
    for (const part of partsOf(db)) {
      piece += part
      if (piece.length < PIECE) continue
      yield piece
      piece = ''
      await turn()
    }
    yield piece
  } finally {
    db.close()
  }
}

function* partsOf(db: Database.Database): Generator<string> {
  const practice = practiceOn(db)
  const exportedAt = new Date().toISOString()
  const { name, demo } = practice.facts.current()
  const head = {
    format: 'crescent-library',
    formatVersion: 1,
    exportedAt,
    ...(name !== '' && !demo && { practice: name }),
  }
  yield JSON.stringify(head).slice(0, -1)
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
    workshop,
  } = practice
  yield* listText('owners', owners.each())
  yield* listText('horses', horses.each())
  yield* listText('visits', visits.each())
  yield* listText('patterns', patterns.each())
  yield* listText('patternVersions', patterns.eachVersion())
  yield* listText('footRecords', footRecords.each())
  yield* listText('looks', looks.each())
  yield* listText('sizes', sizes.each())
  yield* listText('tries', tries.each())
  yield* listText('jobs', jobs.each())
  yield* listText('courses', courses.each())
  yield* listText('calls', calls.each())
  yield* listText('pictures', pictures.each())
  yield* listText('workshop', workshop.each())
  yield '}'
}

function* listText(name: string, records: Iterable<unknown>): Generator<string> {
  yield `,\n"${name}":[`
  let first = true
  for (const record of records) {
    yield (first ? '\n' : ',\n') + JSON.stringify(record)
    first = false
  }
  yield ']'
}
