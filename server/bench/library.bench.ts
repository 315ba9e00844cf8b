// The horse page and the search at the server, over a library of 5,000 horses and 60,000 visits.
import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { createReadStream, createWriteStream, statSync } from 'node:fs'
import { createServer, request, type IncomingMessage } from 'node:http'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import type { ReadableStream } from 'node:stream/web'
import { text } from 'node:stream/consumers'
import { pipeline } from 'node:stream/promises'
import { planShoe, snapshotOf, type StoredPattern } from '@crescent/core'
import { FOOT, makeBed, SHOE } from '../src/testing'

const HORSES = 5_000
const VISITS_EACH = 12
const REQUESTS = 400
const AIM = ' (aim: p95 under 20 ms)'

const bed = makeBed()
const { practice } = bed
const result = snapshotOf(planShoe(FOOT, SHOE))
const syllables = ['tar', 'bel', 'mo', 'ren', 'sil', 'wick', 'ash', 'fen', 'dun', 'ley', 'cor', 'brae']
const word = (n: number) =>
  syllables[n % 12]! + syllables[Math.floor(n / 12) % 12]! + syllables[Math.floor(n / 144) % 12]!
const day = (i: number) => new Date(Date.UTC(2023, 0, 1 + i * 45)).toISOString().slice(0, 10)
const ids: string[] = []

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

const server = createServer(bed.app).listen(0, '127.0.0.1')
await once(server, 'listening')
const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`

async function measure(title: string, path: (i: number) => string, aim = ''): Promise<void> {
  const times: number[] = []
  for (let i = 0; i < REQUESTS; i++) {
    const start = performance.now()
    const answer = await fetch(base + path(i))
    await answer.arrayBuffer()
    if (!answer.ok) throw new Error(`${path(i)} answered ${answer.status}`)
    if (i >= 20) times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  const at = (share: number) => times[Math.floor(times.length * share)]!.toFixed(1)
  console.log(`${title}: median ${at(0.5)} ms, p95 ${at(0.95)} ms${aim}`)
}

console.log(`library: ${HORSES} horses, ${HORSES * VISITS_EACH} visits`)
await measure('horse page', (i) => `/horses/${ids[(i * 37) % ids.length]}/page`, AIM)
await measure(
  'search, letters typed',
  (i) => `/horses?search=${word(i * 13).slice(0, 2 + (i % 4))}&limit=50`,
  AIM,
)
await measure('round', () => `/round?date=2024-06-20`)
await measure('health', () => '/health', ' (aim: no longer than any other)')

/** Runs something long and tells its time, the most memory, and how long a small request beside it took at most. */
async function beside<T>(title: string, work: () => Promise<T>): Promise<T> {
  let going = true
  let slowest = 0
  let most = 0
  const asking = (async () => {
    while (going) {
      const start = performance.now()
      await (await fetch(`${base}/horses/${ids[7]}`)).arrayBuffer()
      slowest = Math.max(slowest, performance.now() - start)
      most = Math.max(most, process.memoryUsage().rss)
      await new Promise((done) => setTimeout(done, 25))
    }
  })()
  const start = performance.now()
  const done = await work()
  const seconds = (performance.now() - start) / 1000
  going = false
  await asking
  console.log(
    `${title}: ${seconds.toFixed(1)} s, at most ${Math.round(most / 1e6)} MB (aim 600), slowest request beside it ${slowest.toFixed(0)} ms (aim 200)`,
  )
  return done
}

const file = join(bed.dataFolder, 'library.json')
await beside('library out', async () => {
  const { body } = await fetch(`${base}/library`)
  await pipeline(Readable.fromWeb(body as unknown as ReadableStream), createWriteStream(file))
})
console.log(`  of ${Math.round(statSync(file).size / 1e6)} MB`)
bed.practice.db.exec(
  ['foot_records', 'looks', 'pattern_versions', 'patterns'].map((table) => `DELETE FROM ${table}`).join(';'),
)
const report = await beside('library in, feet and patterns of it anew', async () => {
  const sending = request(`${base}/library`, { method: 'POST' })
  await pipeline(createReadStream(file), sending)
  const [answer] = (await once(sending, 'response')) as [IncomingMessage]
  return JSON.parse(await text(answer)) as { added: number; unchanged: number }
})
console.log(`  ${report.added} added, ${report.unchanged} unchanged`)

server.close()
server.closeAllConnections()
bed.remove()
