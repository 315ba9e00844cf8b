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
    expect(bed.practice.horses.itself(second.horse.id)).toMatchObject({ archived: true })
    // Its id leads to the first.
    expect((await pageOf(second.horse.id)).horse.id).toBe(first.horse.id)
    // A window that still shows the visit where it was changes nothing of where it is now.
    const sent = { ...second.visit, notes: 'Nervous.' }
    const stale = await request(bed.app).put(`/api/visits/${second.visit.id}`).send(sent)
    expect(stale.status).toBe(409)
    expect(stale.body.current.horseId).toBe(first.horse.id)
  })

  it('go on under the old id: what a device still sends with it is stored with the one that is kept', async () => {
    const [one, two, three] = ['Tansy', 'Tanzy', 'Tansie'].map((name) => addHorse(bed.practice, name))
    await request(bed.app)
      .post(`/api/horses/${two!.horse.id}/join`)
      .send({ other: three!.horse.id })
      .expect(200)
    await request(bed.app)
      .post(`/api/horses/${one!.horse.id}/join`)
      .send({ other: two!.horse.id })
      .expect(200)
    const visit = {
      ...one!.visit,
      id: randomUUID(),
      version: 0,
      date: '2026-10-05',
      horseId: three!.horse.id,
    }
    const { body } = await request(bed.app).put(`/api/visits/${visit.id}`).send(visit).expect(200)
    expect(body.horseId).toBe(one!.horse.id)
    expect((await pageOf(one!.horse.id)).visits).toHaveLength(4)
    const pattern = addPattern(three!.horse.id)
    expect(bed.practice.patterns.get(pattern.id)?.horseId).toBe(one!.horse.id)
    // A device that still has the other open is told what became of it.
    const stale = await request(bed.app).put(`/api/horses/${three!.horse.id}`).send(three!.horse).expect(409)
    expect(stale.body.current).toMatchObject({ id: one!.horse.id, archived: false })
    const next = await request(bed.app)
      .get(`/api/horses/${two!.horse.id}/next-visit?date=2026-12-01`)
      .expect(200)
    expect(next.body.visit.horseId).toBe(one!.horse.id)
  })

  it('are not joined as they were seen before somebody changed them', async () => {
    const [one, two] = [addHorse(bed.practice, 'Tansy').horse, addHorse(bed.practice, 'Tanzy').horse]
    bed.practice.horses.put({ ...two, notes: 'Another horse after all.' })
    const join = (versions: object) =>
      request(bed.app)
        .post(`/api/horses/${one.id}/join`)
        .send({ other: two.id, ...versions })
    const stale = await join({ version: 1, otherVersion: 1 }).expect(409)
    expect(stale.body.current).toMatchObject({ id: two.id, version: 2 })
    await join({ version: 2, otherVersion: 2 }).expect(409)
    expect((await pageOf(one.id)).visits).toHaveLength(1)
    await join({ version: 1, otherVersion: 2 }).expect(200)
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
