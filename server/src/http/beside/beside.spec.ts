import type { Express } from 'express'
import { pino } from 'pino'
import request from 'supertest'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { makeApp } from '../../app'
import { besideHere, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { Busy } from '../door'
import type { Asked } from './asked'
import { besideInThreads, type Beside } from './pool'

let bed: Bed
let threads: Beside
beforeAll(() => (threads = besideInThreads()))
afterAll(() => threads.close())
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())

const appWith = (beside: Beside): Express =>
  makeApp(
    bed.practice,
    { dataFolder: bed.dataFolder, host: '127.0.0.1', port: 0, webFolder: bed.dataFolder, logLevel: 'silent' },
    pino({ level: 'silent' }),
    beside,
  )

const never = new AbortController().signal
const asked = (route: string, body?: unknown): Asked => ({
  ...{ file: bed.practice.db.name, dataFolder: bed.dataFolder, route, params: {}, query: {} },
  ...(body !== undefined && { text: JSON.stringify(body), json: true }),
})

describe('what is done in a thread', () => {
  it('is answered as it would be here: figures, files and what is refused', async () => {
    const there = appWith(threads)
    const here = appWith(besideHere(bed.practice))
    for (const [path, body] of [
      ['/api/sizes/rank', { foot: FOOT }],
      ['/api/templates', { foot: FOOT, shoe: SHOE, format: 'svg' }],
      ['/api/sizes/rank', { foot: { ...FOOT, width: 9 } }],
      ['/api/sizes/rank', { foot: 'a foot' }],
    ] as const) {
      const [a, b] = [await request(there).post(path).send(body), await request(here).post(path).send(body)]
      expect([a.status, a.headers['content-type'], a.headers['content-disposition']]).toEqual([
        ...[b.status, b.headers['content-type'], b.headers['content-disposition']],
      ])
      expect([a.body, a.text]).toEqual([b.body, b.text])
    }
    const solid = await request(there)
      .post('/api/solids')
      .send({ foot: FOOT, shoe: SHOE })
      .responseType('blob')
      .expect(200)
    expect(solid.headers['content-type']).toBe('model/stl')
    // A binary STL says how many triangles follow, 50 bytes each.
    expect(solid.body.length).toBe(84 + 50 * solid.body.readUInt32LE(80))
    const broken = await request(there)
      .post('/api/sizes/rank')
      .set('Content-Type', 'application/json')
      .send('{"foot":')
    expect([broken.status, broken.body.errors[0].message]).toEqual([400, 'The request could not be read'])
  })

  it('sees what was stored since, also in another file put in the place of the first', async () => {
    const there = appWith(threads)
    const calendar = async () =>
      (await request(there).get('/api/round/week?date=2026-11-23').expect(200)).text
    const before = await calendar()
    expect(await calendar()).toBe(before)
    const horse = bed.practice.horses.put({
      ...{ id: crypto.randomUUID(), version: 0, ownerId: null, name: 'Tansy', animal: 'horse', work: '' },
      ...{ going: '', living: '', place: '', cycleWeeks: 6, bodyWeight: null, born: null },
      ...{ breakoverSchool: 'perimeter', notes: '', archived: false },
    } as never) as { id: string }
    bed.practice.visits.put({
      ...{ id: crypto.randomUUID(), version: 0, horseId: horse.id, date: '2026-10-12', state: 'done' },
      ...{ notes: '', closeList: {}, feet: {}, nextDue: '2026-11-24', archived: false },
    } as never)
    expect(await calendar()).toContain('Tansy')
  })

  it('is refused in words where the data is not there', async () => {
    const away = {
      ...asked('GET /round/week'),
      file: `${bed.dataFolder}/none.sqlite`,
      query: { date: '2026-11-23' },
    }
    const answered = await threads.ask('reading', away, never)
    expect(answered).toMatchObject({
      refused: [503, { errors: [{ message: expect.stringMatching(/not where it was/) }] }],
    })
  })

  it('is dropped when the asker has gone, and the next one is served', async () => {
    const gone = new AbortController()
    const given = threads.ask('reckoning', asked('POST /sizes/rank', { foot: FOOT }), gone.signal)
    gone.abort()
    await expect(given).rejects.toThrow(/abort/i)
    expect(await threads.ask('reckoning', asked('POST /sizes/rank', { foot: FOOT }), never)).toHaveProperty(
      'json',
    )
  })

  it('is refused, to come again later, where too many wait already', async () => {
    const all = Array.from({ length: 60 }, () =>
      threads.ask('reckoning', asked('POST /sizes/rank', { foot: FOOT }), never).then(
        () => 'done',
        (error: unknown) => error,
      ),
    )
    const ends = await Promise.all(all)
    expect(ends.filter((end) => end === 'done').length).toBeGreaterThan(20)
    expect(ends.filter((end) => end instanceof Busy).length).toBeGreaterThan(20)
    expect(ends.every((end) => end === 'done' || end instanceof Busy)).toBe(true)
  })
})

describe('answers that follow from what is stored', () => {
  /** Counts how often something is worked out. */
  const counted = () => {
    const ask = vi.fn(besideHere(bed.practice).ask)
    return { ask, app: appWith({ ...threads, ask }) }
  }

  it('are worked out once until something is stored; what is only sent is worked out each time', async () => {
    const { ask, app } = counted()
    const week = () => request(app).get('/api/round/week?date=2026-11-23').expect(200)
    await week()
    await week()
    expect(ask).toHaveBeenCalledTimes(1)
    bed.practice.workshop.put({ ...bed.practice.workshop.current() })
    await week()
    expect(ask).toHaveBeenCalledTimes(2)
    for (let i = 0; i < 2; i++) await request(app).post('/api/sizes/rank').send({ foot: FOOT }).expect(200)
    expect(ask).toHaveBeenCalledTimes(4)
  })

  it('are not kept where they were refused, nor over another question', async () => {
    const { ask, app } = counted()
    for (let i = 0; i < 2; i++) await request(app).get('/api/round/week').expect(400)
    await request(app).get('/api/round/week?date=2026-11-23').expect(200)
    await request(app).get('/api/round/week?date=2026-11-24').expect(200)
    expect(ask).toHaveBeenCalledTimes(4)
  })

  it('tell who is asked to come again how soon', async () => {
    const full: Beside['ask'] = () => Promise.reject(new Busy('Much is being worked out at once'))
    const app = appWith({ ...threads, ask: full })
    const { headers, body } = await request(app).get('/api/round/week?date=2026-11-23').expect(503)
    expect(Number(headers['retry-after'])).toBeGreaterThan(0)
    expect(body.errors[0].message).toMatch(/Much is being worked out/)
  })
})
