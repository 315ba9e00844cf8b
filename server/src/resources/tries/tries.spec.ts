import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { Try } from '@crescent/core'
import { addHorse, bringIn, libraryOf, makeBed, type Bed } from '../../testing'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

const tried = (visitId: string, more: Partial<Try> = {}) => ({
  ...{ id: randomUUID(), version: 0, visitId, side: 'LF', walks: 2, heats: 1, minutes: 12 },
  corrections: [{ branch: 'lateral', at: 'heel', angle: 3, heelMoves: 4 }],
  ...more,
})
const put = (one: ReturnType<typeof tried>) => request(bed.app).put(`/api/tries/${one.id}`).send(one)
/** The visit of a made-up horse, today: what is looked back at ends after two years. */
const visitToday = () => {
  const { visit } = addHorse(bed.practice)
  return bed.practice.visits.put({ ...visit, date: new Date().toISOString().slice(0, 10) })
}

describe('shoes that were tried on', () => {
  it('are logged, listed by visit with their day and horse, and told over time', async () => {
    const visit = visitToday()
    const stored = (await put(tried(visit.id)).expect(200)).body as Try
    expect(stored).toMatchObject({ version: 1, fits: false, contacts: {} })
    await put(tried(visit.id, { walks: 1, minutes: 6, fits: true, corrections: [], twist: 'level' })).expect(
      200,
    )
    const { body } = await request(bed.app).get(`/api/tries?visit=${visit.id}`).expect(200)
    expect(body.map(({ walks, horse }: { walks: number; horse: string }) => [walks, horse])).toEqual([
      [2, 'Tansy'],
      [1, 'Tansy'],
    ])
    expect((await request(bed.app).get('/api/tries?visit=none').expect(200)).body).toEqual([])
    const over = (await request(bed.app).get('/api/tries/over-time').expect(200)).body
    expect(over).toMatchObject({ tries: 2, shoes: 1, first: { lateral: { shoes: 1, mean: 4 } } })
    expect(over.months[0]).toMatchObject({ minutes: 18, walks: 3 })
  })

  it('are refused by figure, and of no visit', async () => {
    const visit = visitToday()
    const refused = await put(tried(visit.id, { walks: 400 })).expect(400)
    expect(refused.body.errors[0].path).toBe('walks')
    const odd = { corrections: [{ branch: 'lateral', at: 'ear', angle: 3, heelMoves: 4 }] as never }
    await put(tried(visit.id, odd)).expect(400)
    await put(tried(randomUUID())).expect(400)
  })

  it('go out with the library, come in again, and go with their visit', async () => {
    const visit = visitToday()
    await put(tried(visit.id)).expect(200)
    const library = await libraryOf(bed)
    expect(library['tries']).toHaveLength(1)
    const other = makeBed()
    try {
      await bringIn(other, library)
      expect(other.practice.tries.dated()).toEqual(bed.practice.tries.dated())
    } finally {
      other.remove()
    }
    await request(bed.app)
      .post(`/api/visits/${visit.id}/erase`)
      .send({})
      .expect((answer) => {
        if (answer.status >= 500) throw new Error(JSON.stringify(answer.body))
      })
  })
})
