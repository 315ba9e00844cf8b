// A practice of 5,000 horses with 60,000 visits, and a server on it, for measuring.
import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { planShoe, snapshotOf, type StoredPattern } from '@crescent/core'
import { pino } from 'pino'
import { makeApp } from '../src/app'
import { besideInThreads } from '../src/http/beside/pool'
import { FOOT, makeBed, SHOE } from '../src/testing'

export const HORSES = 5_000
export const VISITS_EACH = 12

export const bed = makeBed()
const { practice } = bed
const result = snapshotOf(planShoe(FOOT, SHOE))
const syllables = ['tar', 'bel', 'mo', 'ren', 'sil', 'wick', 'ash', 'fen', 'dun', 'ley', 'cor', 'brae']
export const word = (n: number) =>
  syllables[n % 12]! + syllables[Math.floor(n / 12) % 12]! + syllables[Math.floor(n / 144) % 12]!
const day = (i: number) => new Date(Date.UTC(2023, 0, 1 + i * 45)).toISOString().slice(0, 10)
export const ids: string[] = []

practice.db.transaction(() => {
  const owners = Array.from({ length: 800 }, (_, i) =>
    practice.owners.put({
      id: randomUUID(),
      version: 0,
      name: `${word(i)} ${word(i * 7)}`,
      phone: '',
      email: '',
      place: word(i * 3),
      notes: '',
      archived: false,
    }),
  )
  for (let h = 0; h < HORSES; h++) {
    const id = randomUUID()
    ids.push(id)
    const text = { work: word(h * 5), going: '', living: '', place: word(h * 11), notes: '' }
    const ownerId = owners[h % owners.length]!.id
    practice.horses.put({
      id,
      version: 0,
      ownerId,
      name: word(h),
      breakoverSchool: 'perimeter',
      animal: 'horse',
      cycleWeeks: 6,
      bodyWeight: null,
      born: null,
      archived: false,
      ...text,
    })
    const visits = Array.from({ length: VISITS_EACH }, (_, v) =>
      practice.visits.put({
        id: randomUUID(),
        version: 0,
        horseId: id,
        date: day(v),
        state: 'done',
        notes: '',
        closeList: {},
        feet: {},
        nextDue: null,
        archived: false,
      }),
    )
    for (const side of ['LF', 'RF', 'LH', 'RH'] as const) {
      const foot = { ...FOOT, side }
      const pattern: StoredPattern = {
        ...{ id: randomUUID(), version: 1, horseId: id, side, name: 'General', visitId: visits[0]!.id },
        ...{ foot, shoe: SHOE, workshop: {}, notes: '', archived: false, result },
      }
      practice.patterns.bringIn(pattern)
      for (const visit of visits) {
        const record = {
          id: randomUUID(),
          version: 1,
          visitId: visit.id,
          side,
          foot,
          patternId: pattern.id,
          notes: '',
        }
        practice.footRecords.bringIn(record)
      }
    }
  }
})()

// With threads beside, as the server runs.
const beside = besideInThreads()
const config = {
  dataFolder: bed.dataFolder,
  host: '127.0.0.1',
  port: 0,
  webFolder: bed.dataFolder,
  logLevel: 'silent',
}
const app = makeApp(practice, config, pino({ level: 'silent' }), beside)
const server = createServer(app).listen(0, '127.0.0.1')
await once(server, 'listening')
export const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`

export function close(): void {
  server.close()
  server.closeAllConnections()
  void beside.close()
  bed.remove()
}
