import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { Readable } from 'node:stream'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import { pino } from 'pino'
import type { Express } from 'express'
import { makeApp } from './app'
import type { Config } from './config'
import type { ImportReport } from '@crescent/core'
import { answerAsked } from './http/beside/answer'
import { routeKey } from './http/beside/asked'
import type { Beside } from './http/beside/pool'
import { routes } from './resources'
import { importLibrary } from './resources/library/in'
import { libraryText } from './resources/library/out'
import { databaseFile, openDatabase } from './database/open'
import { openPractice, type Practice } from './practice'

/** For tests: a practice in a throwaway folder, and its application. */
export interface Bed {
  app: Express
  practice: Practice
  dataFolder: string
  remove: () => void
}

/** An empty database, its tables made: made once, and every bed begins with a copy. */
let empty: Buffer | undefined
function emptyDatabase(): Buffer {
  if (empty) return empty
  const folder = mkdtempSync(join(tmpdir(), 'crescent-test-'))
  try {
    openDatabase(databaseFile(folder)).close()
    return (empty = readFileSync(databaseFile(folder)))
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** For tests: what goes beside is done here and now, as plainly as between threads. */
export const besideHere = (practice: Practice): Beside => ({
  ask: async (_kind, asked) => {
    const route = routes.find((one) => routeKey(one) === asked.route)!
    return structuredClone(await answerAsked(route, () => practice, structuredClone(asked)))
  },
  warm: () => undefined,
  close: () => Promise.resolve(),
})

export function makeBed(more: Partial<Config> = {}): Bed {
  const dataFolder = mkdtempSync(join(tmpdir(), 'crescent-test-'))
  writeFileSync(databaseFile(dataFolder), emptyDatabase())
  const practice = openPractice(databaseFile(dataFolder))
  const config = {
    dataFolder,
    host: '127.0.0.1',
    port: 0,
    webFolder: dataFolder,
    logLevel: 'silent',
    ...more,
  }
  return {
    app: makeApp(practice, config, pino({ level: 'silent' }), besideHere(practice)),
    practice,
    dataFolder,
    remove: () => {
      practice.db.close()
      rmSync(dataFolder, { recursive: true, force: true })
    },
  }
}

/** For tests: the whole library of a practice, as it goes out. */
export async function libraryOf({ practice }: Pick<Bed, 'practice'>): Promise<Record<string, never[]>> {
  let text = ''
  for await (const piece of libraryText(practice.db.name)) text += piece
  return JSON.parse(text) as Record<string, never[]>
}

/** For tests: brings in a library, in pieces as a file arrives. */
export async function bringIn({ practice }: Pick<Bed, 'practice'>, library: unknown): Promise<ImportReport> {
  return importLibrary(practice.db.name, inPieces(library))
}

/** For tests: a library as it comes over the wire, in pieces that end anywhere. */
export function inPieces(library: unknown): Readable {
  const text = Buffer.from(typeof library === 'string' ? library : JSON.stringify(library))
  return Readable.from(
    Array.from({ length: Math.ceil(text.length / 700) }, (_, i) => text.subarray(i * 700, (i + 1) * 700)),
  )
}

export const FOOT = {
  side: 'LF',
  width: 127,
  length: 127,
  heelWidth: 89,
  toeAngle: 52,
  wallThickness: 9.5,
} as const
export const SHOE = {
  section: { shape: 'flat', width: 19.05, thickness: 7.9375, material: 'steel' },
  fit: 'general',
} as const

/** For tests: an owner with a horse and an open visit. */
export function addHorse(practice: Practice, name = 'Tansy') {
  const owner = practice.owners.put({
    id: randomUUID(),
    version: 0,
    name: 'Märta Lind',
    phone: '',
    email: '',
    place: 'Eel Bay',
    notes: '',
    archived: false,
  })
  const horse = practice.horses.put({
    id: randomUUID(),
    version: 0,
    ownerId: owner.id,
    name,
    animal: 'horse',
    work: 'hacking',
    going: '',
    living: '',
    place: '',
    cycleWeeks: 6,
    bodyWeight: null,
    born: null,
    breakoverSchool: 'perimeter',
    notes: '',
    archived: false,
  })
  const visit = practice.visits.put({
    id: randomUUID(),
    version: 0,
    horseId: horse.id,
    date: '2026-10-01',
    state: 'done',
    notes: '',
    closeList: {},
    feet: {},
    nextDue: null,
    archived: false,
  })
  return { owner, horse, visit }
}
