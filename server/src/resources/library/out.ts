import { setImmediate as turn } from 'node:timers/promises'
import Database from 'better-sqlite3'
import { practiceOn } from '../../practice'

/** A piece of this size is handed on at a time, in letters. */
const PIECE = 64 * 1024

/**
 * The whole library as JSON text, piece by piece, as it is at this moment: on a connection of its own, so that work
 * goes on beside it.
 *
 * @param horseId only this horse, with its owner
 */
export async function* libraryText(file: string, horseId?: string): AsyncGenerator<string> {
  const db = new Database(file, { readonly: true })
  try {
    // Everything is read as it is now, whatever is stored meanwhile.
    db.exec('BEGIN')
    let piece = ''
    for (const part of partsOf(db, horseId)) {
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

function* partsOf(db: Database.Database, horseId: string | undefined): Generator<string> {
  const practice = practiceOn(db)
  const exportedAt = new Date().toISOString()
  yield `{"format":"crescent-library","formatVersion":1,"exportedAt":"${exportedAt}"`
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
  if (horseId !== undefined) {
    const horse = horses.get(horseId)
    const id = horse?.id ?? horseId
    const ofHorse = <T>(table: Listed<T>) => table.list('horse_id = @id ORDER BY id', { id })
    const ofVisits = <T>(table: Listed<T>) =>
      table.list('visit_id IN (SELECT id FROM visits WHERE horse_id = @id) ORDER BY id', { id })
    yield* listText('owners', horse?.ownerId ? owners.list('id = @id', { id: horse.ownerId }) : [])
    yield* listText('horses', horse ? [horse] : [])
    yield* listText('visits', ofHorse(visits))
    yield* listText('patterns', ofHorse(patterns))
    yield* listText(
      'patternVersions',
      ofHorse(patterns).flatMap((one) => patterns.versions(one.id).reverse()),
    )
    yield* listText('footRecords', ofVisits(footRecords))
    yield* listText('looks', ofVisits(looks))
    yield* listText('sizes', [])
    yield* listText('tries', ofVisits(tries))
    yield* listText('jobs', ofVisits(jobs))
    yield* listText('courses', ofHorse(courses))
    yield* listText('calls', ofHorse(calls))
    yield* listText('pictures', ofVisits(pictures))
    yield* listText('workshop', [])
    yield '}'
    return
  }
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

/** A table as it is gone through for one horse. */
interface Listed<T> {
  list: (where: string, parameters: Record<string, unknown>) => T[]
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
