import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { Job, LearnedCut, VisitPage } from '@crescent/core'
import { addHorse, bringIn, FOOT, libraryOf, makeBed, SHOE, type Bed } from '../../testing'

let bed: Bed
let visitId: string
beforeEach(() => {
  bed = makeBed()
  visitId = addHorse(bed.practice).visit.id
})
afterEach(() => bed.remove())

const job = (needed: number, more: Partial<Job> = {}): Job => ({
  ...{ id: randomUUID(), version: 0, visitId, side: 'LF', section: SHOE.section, style: '' },
  ...{ predicted: 300, used: needed + 5, left: 5, heats: 6, counted: true },
  ...more,
})
const put = (one: Job) => request(bed.app).put(`/api/jobs/${one.id}`).send(one)
const learned = async () => (await request(bed.app).get('/api/jobs/learned').expect(200)).body as LearnedCut[]

describe('logged jobs', () => {
  it('teach the next cut of the same bar and style, and the plan follows', async () => {
    for (let i = 0; i < 8; i++) await put(job(306)).expect(200)
    await put(job(290, { style: 'egg-bar' })).expect(200)
    const known = await learned()
    expect(known.map(({ style, jobs }) => `${style}:${jobs}`).sort()).toEqual([':8', 'egg-bar:1'])
    const { factor } = known.find(({ style }) => style === '')!
    const cut = async (workshop: object) => {
      const { body } = await request(bed.app)
        .post('/api/plan')
        .send({ foot: FOOT, shoe: SHOE, workshop })
        .expect(200)
      return body as { iron: { cutLength: number; learned: number } }
    }
    const [bare, taught] = [await cut({}), await cut({ cutFactor: factor })]
    expect(bare.iron.learned).toBe(0)
    expect(taught.iron.cutLength / bare.iron.cutLength).toBeCloseTo(factor, 9)
    expect(taught.iron.learned).toBeCloseTo(taught.iron.cutLength - bare.iron.cutLength, 9)
    // At the Bench it comes with the visit.
    const { body: page } = await request(bed.app).get(`/api/visits/${visitId}/page`).expect(200)
    expect((page as VisitPage).learned).toEqual(known)
  })

  it('are refused where they cannot be, and sent twice are one', async () => {
    const one = job(300)
    await put(one).expect(200)
    await put(one).expect(200)
    expect(((await request(bed.app).get('/api/jobs').expect(200)).body as Job[]).length).toBe(1)
    const refused = await put(job(300, { used: 4 })).expect(400)
    expect(JSON.stringify(refused.body)).toMatch(/used.*lies between 50 mm and 1500 mm/)
    const wild = { foot: FOOT, shoe: SHOE, workshop: { cutFactor: 3 } }
    expect(JSON.stringify((await request(bed.app).post('/api/plan').send(wild).expect(400)).body)).toContain(
      'workshop.cutFactor',
    )
  })

  it('go with the library and come back', async () => {
    await put(job(306)).expect(200)
    const library = await libraryOf(bed)
    expect(library['jobs']!.length).toBe(1)
    const other = makeBed()
    try {
      await bringIn(other, library)
      expect((await libraryOf(other))['jobs']).toEqual(library['jobs'])
    } finally {
      other.remove()
    }
  })
})
