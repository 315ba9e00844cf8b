import { savePattern } from '../patterns/save'
import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import {
  createServer,
  request as send,
  type ClientRequest,
  type IncomingMessage,
  type Server,
} from 'node:http'
import { readdirSync, statSync } from 'node:fs'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { json, text } from 'node:stream/consumers'
import fc from 'fast-check'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { broken, hostile, somewhere } from '../../testing/broken'
import { addHorse, bringIn, FOOT, inPieces, libraryOf, makeBed, SHOE, type Bed } from '../../testing'
import { passingFolder } from '../../database/files'
import { alone } from '../../http/route'
import { takeLibrary } from './in'
import { openPractice } from '../../practice'
import { HANGS, worked } from '@crescent/core/testing/hangs'

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())

const design = (horseId: string) => ({
  ...{ id: randomUUID(), horseId, side: 'LF' as const, visitId: null, foot: FOOT, shoe: SHOE },
  ...{ workshop: {}, notes: '', archived: false },
})

describe('a library that comes in', () => {
  it('leaves the versions of a pattern that is kept here alone, and those saved afterwards', async () => {
    const { horse } = addHorse(bed.practice)
    const pattern = design(horse.id)
    savePattern(bed.practice, { ...pattern, version: 0, name: 'First' })
    const early = await libraryOf(bed)
    savePattern(bed.practice, { ...pattern, version: 1, name: 'Theirs, second' })
    savePattern(bed.practice, { ...pattern, version: 2, name: 'Theirs, third' })
    const late = await libraryOf(bed)

    const here = makeBed()
    await bringIn(here, early)
    savePattern(here.practice, { ...pattern, version: 1, name: 'Ours, second' })
    expect((await bringIn(here, late)).kept).toEqual([{ kind: 'pattern', id: pattern.id }])
    savePattern(here.practice, { ...pattern, version: 2, name: 'Ours, third' })
    expect(here.practice.patterns.versions(pattern.id).map(({ name }) => name)).toEqual([
      ...['Ours, third', 'Ours, second', 'First'],
    ])
    here.remove()
  })

  it('adds older versions that are missing to a pattern that is the same', async () => {
    const { horse } = addHorse(bed.practice)
    const pattern = design(horse.id)
    savePattern(bed.practice, { ...pattern, version: 0, name: 'First' })
    savePattern(bed.practice, { ...pattern, version: 1, name: 'Second' })
    const whole = await libraryOf(bed)
    const without = { ...whole, patternVersions: whole['patternVersions']!.slice(1) }
    const here = makeBed()
    await bringIn(here, without)
    expect(here.practice.patterns.versions(pattern.id)).toHaveLength(1)
    await bringIn(here, whole)
    expect(here.practice.patterns.versions(pattern.id)).toHaveLength(2)
    here.remove()
  })

  it.each(['constructor', 'toString', '__proto__', 'hasOwnProperty'])(
    'is refused in words for a list that is named as what every object has: %s',
    async (name) => {
      addHorse(bed.practice)
      const text = JSON.stringify(await libraryOf(bed))
      const more = text.replace(/}$/, `,"${name}":[{"id":"x"}]}`)
      const thrown = await bringIn(bed, more).catch((error: unknown) => error)
      expect(thrown).toMatchObject({ name: 'BadRequest', message: `${name}: is not known` })
    },
  )

  it.each([
    ['a snapshot', { result: { cutLength: 'long' } }, /^patterns\.0\.result/],
    ['a design that cannot be made', { foot: { ...FOOT, width: -5 } }, /^patterns\.0\.foot\.width/],
  ])('is refused for %s, as it would be by its own route', async (_what, change, path) => {
    const { horse } = addHorse(bed.practice)
    savePattern(bed.practice, { ...design(horse.id), version: 0, name: 'Set' })
    const library = await libraryOf(bed)
    Object.assign(library['patterns']![0]!, change)
    const here = makeBed()
    const fault = (await bringIn(here, library).catch((error: unknown) => error)) as {
      problems: { path: string }[]
    }
    expect(fault.problems[0]!.path).toMatch(path)
    expect(here.practice.horses.list()).toEqual([])
    here.remove()
  })

  it('with a million faults is put down after a hundred', async () => {
    const owners = `[${'1,'.repeat(1_000_000)}1]`
    const file = `{"format":"crescent-library","formatVersion":1,"exportedAt":"2026-11-01T10:00:00.000Z","owners":${owners}}`
    const fault = (await bringIn(bed, file).catch((error: unknown) => error)) as { problems: unknown[] }
    expect(fault.problems).toHaveLength(100)
  })

  it('comes in whole in whatever order its keys stand, and says where a list stands twice', async () => {
    const { horse } = addHorse(bed.practice)
    const pattern = design(horse.id)
    savePattern(bed.practice, { ...pattern, version: 0, name: 'First' })
    savePattern(bed.practice, { ...pattern, version: 1, name: 'Second' })
    const whole = await libraryOf(bed)
    const here = makeBed()
    for (const order of ['sorted', 'backward'] as const) {
      const other = makeBed()
      const keys = Object.keys(whole).sort()
      if (order === 'backward') keys.reverse()
      await bringIn(other, Object.fromEntries(keys.map((key) => [key, whole[key]])))
      expect({ ...(await libraryOf(other)), exportedAt: '' }).toEqual({ ...whole, exportedAt: '' })
      const found = (of: Bed) => of.practice.horses.search(horse.name, false, 9).map(({ id }) => id)
      expect(found(other)).toEqual(found(bed))
      other.remove()
    }
    const text = JSON.stringify(whole)
    const twice = text.replace(/}$/, `,"owners":${JSON.stringify(whole['owners'])}}`)
    const fault = (await bringIn(here, twice).catch((error: unknown) => error)) as { problems: unknown[] }
    expect(whole['owners']!.length).toBeGreaterThan(0)
    expect(fault.problems).toEqual([{ path: 'owners', message: 'stands twice in the file' }])
    here.remove()
  })

  it('carries the name of its practice, which a practice without one takes and no other', async () => {
    bed.practice.facts.set({ name: 'North Shore Forge', demo: false })
    const library: Record<string, unknown> = await libraryOf(bed)
    expect(library['practice']).toBe('North Shore Forge')
    const [blank, named, demo] = [makeBed(), makeBed(), makeBed()]
    named.practice.facts.set({ name: 'Eel Bay' })
    demo.practice.facts.set({ demo: true })
    const names = []
    for (const here of [blank, named, demo]) {
      await bringIn(here, library)
      names.push(here.practice.facts.current().name)
      here.remove()
    }
    expect(names).toEqual(['North Shore Forge', 'Eel Bay', ''])
    // Of an older Crescent there is none.
    const { practice: _none, ...older } = library
    const again = makeBed()
    expect((await bringIn(again, older)).added).toBe(0)
    again.remove()
  })

  it('wrong from its start and still on its way is answered all the same, in words', async () => {
    const server = createServer(bed.app).listen(0, '127.0.0.1')
    await once(server, 'listening')
    const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/library`
    const head =
      '{"format":"crescent-library","formatVersion":1,"exportedAt":"2026-11-01T10:00:00.000Z","owners":['
    for (const start of [head, 'no library at all ']) {
      const sending = send(address, { method: 'POST' })
      const answered = once(sending, 'response') as Promise<[IncomingMessage]>
      sending.write(start + '1,'.repeat(200_000))
      // The server has long seen that it is wrong when the rest arrives.
      await new Promise((done) => setTimeout(done, 300))
      sending.end('1,'.repeat(2_000_000))
      const [answer] = await answered
      expect(answer.statusCode).toBe(400)
      expect(await text(answer)).toMatch(/The 1st owner|no library of Crescent/)
    }
    server.close()
  })
})

it('is put down where a value of it has no end, before it fills the memory', async () => {
  const piece = Buffer.from('x'.repeat(64 * 1024))
  let sent = 0
  function* endless() {
    yield Buffer.from(
      '{"format":"crescent-library","formatVersion":1,"exportedAt":"2026-11-23T10:00:00.000Z","owners":[{"id":"',
    )
    for (; sent < 250_000_000; sent += piece.length) yield piece
  }
  await expect(takeLibrary(bed.practice, Readable.from(endless()))).rejects.toThrow(/no library of Crescent/)
  expect(sent).toBeLessThan(13_000_000)
  expect(bed.practice.owners.list()).toEqual([])
})

describe('while a library comes in', () => {
  let server: Server
  let sending: ClientRequest
  let library: string
  beforeEach(async () => {
    const other = makeBed()
    for (let i = 0; i < 40; i++) addHorse(other.practice, `Horse ${i}`)
    library = JSON.stringify(await libraryOf(other))
    other.remove()
    server = createServer(bed.app).listen(0, '127.0.0.1')
    await once(server, 'listening')
    sending = send(`http://127.0.0.1:${(server.address() as AddressInfo).port}/api/library`, {
      method: 'POST',
    })
    sending.on('error', () => undefined)
    sending.write(library.slice(0, library.length / 2))
    await arrived(() => partSize() > 0)
  })
  afterEach(() => {
    server.closeAllConnections()
    server.close()
  })

  /** What has arrived of it lies in a file that only passes through. */
  const passing = () => passingFolder(bed.dataFolder)
  const partSize = () =>
    readdirSync(passing()).reduce((sum, name) => sum + statSync(join(passing(), name)).size, 0)
  const arrived = async (there: () => boolean) => {
    for (let i = 0; i < 200 && !there(); i++) await new Promise((done) => setTimeout(done, 10))
    expect(there()).toBe(true)
  }

  it('slowly, or stops half way, others read and write as ever; then it is taken', async () => {
    const { horse } = addHorse(bed.practice, 'Mine')
    expect((await request(server).get('/api/horses').expect(200)).body).toHaveLength(1)
    await request(server)
      .put(`/api/horses/${horse.id}`)
      .send({ ...horse, notes: 'Stored meanwhile.' })
      .expect(200)
    await request(server).post('/api/backup').expect(200)
    sending.end(library.slice(library.length / 2))
    const [answer] = (await once(sending, 'response')) as [IncomingMessage]
    expect(await json(answer)).toMatchObject({ added: 120, unchanged: 0 })
    expect(bed.practice.horses.list()).toHaveLength(41)
    expect(bed.practice.horses.get(horse.id)!.notes).toBe('Stored meanwhile.')
    expect(readdirSync(passing())).toEqual([])
  })

  it('broken off half way it leaves nothing, and the next is taken', async () => {
    sending.destroy()
    await arrived(() => readdirSync(passing()).length === 0)
    expect([bed.practice.owners.list(), bed.practice.horses.list()]).toEqual([[], []])
    expect((await bringIn(bed, library)).added).toBe(120)
  })

  it('while it is taken who would write is asked to come again, and when', async () => {
    sending.destroy()
    const taking = bringInAlone(bed, library)
    const refused = await request(server).put(`/api/horses/${randomUUID()}`).send({}).expect(503)
    expect(refused.body.errors[0].message).toContain('A library is being brought in')
    expect(Number(refused.headers['retry-after'])).toBeGreaterThan(0)
    await request(server).post('/api/plan').send({ foot: FOOT, shoe: SHOE }).expect(200)
    expect((await taking).added).toBe(120)
  })
})

const bringInAlone = (of: Bed, library: string) =>
  alone(of.practice, 'A library is being brought in', async () => {
    // So long that a request comes in the middle of it.
    await new Promise((done) => setTimeout(done, 300))
    return bringIn(of, library)
  })

/** The same library of other horses: nothing of it is there yet. */
function anew<T>(library: T): T {
  const ids = new Map<string, string>()
  const other = (id: string) => ids.get(id) ?? ids.set(id, randomUUID()).get(id)!
  return JSON.parse(JSON.stringify(library).replace(/[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g, other)) as T
}

/** Each case is a whole import: `npm run fuzz -w server` tries ten thousand, which takes a minute and a half. */
const CASES = Number(process.env['FUZZ_CASES'] ?? 1_000)

it(
  'broken anywhere a library is taken in or put down, and put down it leaves everything as it was',
  { timeout: 240_000 },
  async () => {
    const { horse } = addHorse(bed.practice)
    savePattern(bed.practice, { ...design(horse.id), version: 0, name: 'First' })
    const [kept, whole] = [await libraryOf(bed), await libraryOf(bed)]
    const there = makeBed()
    // Another connection is told by the database itself of anything that was stored.
    const onlooker = openPractice(there.practice.db.name)
    const stored = () => onlooker.db.pragma('data_version', { simple: true })
    // The disk is not what is tried here.
    there.practice.db.pragma('synchronous = OFF')
    let refused = 0
    await fc.assert(
      fc.asyncProperty(somewhere, hostile, async (where, by) => {
        const [before, began] = [stored(), worked()]
        try {
          await takeLibrary(there.practice, inPieces(broken(anew(whole), where, by)))
        } catch (error) {
          // In words, for who sent it.
          expect((error as Error).message).toMatch(/ /)
          refused++
          expect(stored()).toBe(before)
        }
        expect(worked() - began).toBeLessThan(HANGS)
      }),
      { numRuns: CASES },
    )
    expect(refused).toBeGreaterThan(CASES / 8)
    // What was there before is never touched by what comes in.
    await bringIn(bed, kept)
    const { patterns, horses, patternVersions } = kept
    expect(await libraryOf(bed)).toMatchObject({ patterns, horses, patternVersions })
    onlooker.db.close()
    there.remove()
  },
)
