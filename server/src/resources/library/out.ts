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
  const ownerId = horseId === undefined ? undefined : horses.get(horseId)?.ownerId
  const ofHorse = <T extends { horseId: string }>(all: Iterable<T>) =>
    only(all, (one) => horseId === undefined || one.horseId === horseId)
  const ofVisit = <T extends { visitId: string }>(all: Iterable<T>) =>
    only(all, (one) => horseId === undefined || visits.get(one.visitId)?.horseId === horseId)
  yield* listText(
    'owners',
    only(owners.each(), ({ id }) => horseId === undefined || id === ownerId),
  )
  yield* listText(
    'horses',
    only(horses.each(), ({ id }) => horseId === undefined || id === horseId),
  )
  yield* listText('visits', ofHorse(visits.each()))
  yield* listText('patterns', ofHorse(patterns.each()))
  yield* listText('patternVersions', ofHorse(patterns.eachVersion()))
  yield* listText('footRecords', ofVisit(footRecords.each()))
  yield* listText('looks', ofVisit(looks.each()))
  yield* listText('sizes', horseId === undefined ? sizes.each() : [])
  yield* listText('tries', ofVisit(tries.each()))
  yield* listText('jobs', ofVisit(jobs.each()))
  yield* listText('courses', ofHorse(courses.each()))
  yield* listText('calls', ofHorse(calls.each()))
  yield* listText('pictures', ofVisit(pictures.each()))
  yield* listText('workshop', horseId === undefined ? workshop.each() : [])
  yield '}'
}

function* only<T>(all: Iterable<T>, wanted: (one: T) => boolean): Generator<T> {
  for (const one of all) if (wanted(one)) yield one
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
