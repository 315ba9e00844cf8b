import { savePattern } from '../patterns/save'
import request from 'supertest'
import { randomUUID } from 'node:crypto'
import type { HorsePage } from '@crescent/core'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

const pageOf = async (id: string) => (await request(bed.app).get(`/api/horses/${id}/page`)).body as HorsePage
const addPattern = (horseId: string) =>
  savePattern(bed.practice, {
    id: randomUUID(),
    version: 0,
    horseId,
    side: 'LF',
    name: 'Road set',
    visitId: null,
    foot: FOOT,
    shoe: SHOE,
    workshop: {},
    notes: '',
    archived: false,
  })

describe('two records of one horse', () => {
  it('that are joined with each other at once lose neither: the second is refused', async () => {
    const [first, second] = [addHorse(bed.practice, 'Tansy').horse, addHorse(bed.practice, 'Tanzy').horse]
    const join = (id: string, other: string) =>
      request(bed.app).post(`/api/horses/${id}/join`).send({ other })
    await join(first.id, second.id).expect(200)
    const refused = await join(second.id, first.id).expect(409)
    expect(JSON.stringify(refused.body)).toContain('Tanzy is archived')
    const third = addHorse(bed.practice, 'Tansie').horse
    await join(second.id, third.id).expect(409)
    expect((await pageOf(first.id)).visits).toHaveLength(2)
    expect((await pageOf(first.id)).horse.archived).toBe(false)
    expect((await pageOf(third.id)).horse.archived).toBe(false)
  })

  it('become one: visits and patterns with their versions, notes of both, the other archived', async () => {
    const first = addHorse(bed.practice, 'Tansy')
    const second = addHorse(bed.practice, 'Tanzy')
    bed.practice.horses.put({ ...second.horse, notes: 'Kicks on the off hind.' })
    const pattern = addPattern(second.horse.id)
    const answer = await request(bed.app)
      .post(`/api/horses/${first.horse.id}/join`)
      .send({ other: second.horse.id })
    expect(answer.status).toBe(200)
    const page = await pageOf(first.horse.id)
    expect(page.visits).toHaveLength(2)
    expect(page.patterns.map(({ id }) => id)).toEqual([pattern.id])
    expect(page.horse.notes).toContain('Kicks on the off hind')
    const versions = (await request(bed.app).get(`/api/patterns/${pattern.id}/versions`)).body as {
      horseId: string
    }[]
    expect(versions.map(({ horseId }) => horseId)).toEqual([first.horse.id])
    const other = await pageOf(second.horse.id)
    expect(other.horse.archived).toBe(true)
    expect([other.visits.length, other.patterns.length]).toEqual([0, 0])
    // A window that still shows the visit where it was is told.
    const stale = await request(bed.app).put(`/api/visits/${second.visit.id}`).send(second.visit)
    expect(stale.status).toBe(409)
  })

  it('cannot be one and the same, nor unknown', async () => {
    const { horse } = addHorse(bed.practice)
    const join = (other: string) => request(bed.app).post(`/api/horses/${horse.id}/join`).send({ other })
    expect((await join(horse.id)).status).toBe(409)
    expect((await join(randomUUID())).status).toBe(404)
  })
})

describe('owners', () => {
  it('become one, and a horse that goes to another owner keeps its history', async () => {
    const first = addHorse(bed.practice, 'Tansy')
    const second = addHorse(bed.practice, 'Moss')
    bed.practice.owners.put({ ...second.owner, phone: '0123' })
    const kept = await request(bed.app)
      .post(`/api/owners/${first.owner.id}/join`)
      .send({ other: second.owner.id })
    expect(kept.body).toMatchObject({ id: first.owner.id, phone: '0123' })
    expect((await pageOf(second.horse.id)).owner?.id).toBe(first.owner.id)
    const moved = await pageOf(second.horse.id)
    await request(bed.app)
      .put(`/api/horses/${second.horse.id}`)
      .send({ ...moved.horse, ownerId: null })
    const after = await pageOf(second.horse.id)
    expect([after.owner, after.visits.length]).toEqual([null, 1])
  })
})
