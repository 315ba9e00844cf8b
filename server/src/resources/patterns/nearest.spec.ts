import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { FootInput, StoredPattern } from '@crescent/core'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { savePattern } from './save'
import type { NearPattern } from './nearest'

let bed: Bed
let horseId: string
beforeEach(() => {
  bed = makeBed()
  horseId = addHorse(bed.practice, 'Tansy').horse.id
})
afterEach(() => bed.remove())

const kept = (foot: Partial<FootInput>, name: string, more: Partial<StoredPattern> = {}) =>
  savePattern(bed.practice, {
    ...{ id: randomUUID(), version: 0, horseId, side: 'LF', name, visitId: null, notes: '', archived: false },
    ...{ foot: { ...FOOT, ...foot }, shoe: SHOE, workshop: {} },
    ...more,
  })
const near = async (foot: Partial<FootInput>, limit = 10) =>
  (
    await request(bed.app)
      .post('/api/patterns/nearest')
      .send({ foot: { ...FOOT, ...foot }, limit })
      .expect(200)
  ).body as NearPattern[]

describe('the nearest pattern', () => {
  it('is found by shape, the nearest first, with where they differ', async () => {
    kept({ width: 140, length: 120 }, 'wide')
    kept({ width: 128 }, 'like it')
    kept({ width: 118, length: 136 }, 'long')
    const found = await near({})
    expect(found.map(({ pattern }) => pattern.name).sort()).toEqual(['like it', 'long', 'wide'])
    expect(found[0]!.pattern.name).toBe('like it')
    expect(found[0]!).toMatchObject({ horseName: 'Tansy', mirrored: false })
    for (let i = 1; i < found.length; i++)
      expect(found[i]!.distance).toBeGreaterThanOrEqual(found[i - 1]!.distance)
    // Narrower than the one it is laid over: inside it at the quarters.
    const quarters = found[0]!.byRegion.filter(({ region }) => region === 'toe quarter')
    for (const { mean } of quarters) expect(mean).toBeLessThan(0)
  })

  it('is found mirrored: a foot that is fuller inside as another is outside', async () => {
    kept({ lateralHalfWidth: 70, toeShape: 1.9 }, 'fuller outside')
    const [first] = await near({ lateralHalfWidth: FOOT.width - 70, toeShape: 1.9 })
    expect(first!).toMatchObject({ mirrored: true })
    expect(first!.distance).toBeLessThan(0.5)
  })

  it('leaves out what is archived, keeps to its limit, and finds what was stored before shapes were kept', async () => {
    kept({}, 'old')
    kept({ width: 126 }, 'other')
    const gone = kept({ width: 127.5 }, 'gone')
    savePattern(bed.practice, { ...gone, archived: true })
    bed.practice.db.prepare('UPDATE patterns SET outline_shape = NULL').run()
    expect((await near({})).map(({ pattern }) => pattern.name)).toEqual(['old', 'other'])
    expect((await near({}, 1)).length).toBe(1)
  })

  it('is refused for a foot that cannot be, by figure; with no pattern there is none', async () => {
    expect(await near({})).toEqual([])
    const refused = await request(bed.app)
      .post('/api/patterns/nearest')
      .send({ foot: { ...FOOT, width: 4 } })
      .expect(400)
    expect(JSON.stringify(refused.body)).toContain('foot.width')
  })
})
