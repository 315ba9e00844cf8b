import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { planShoe, type NailTurning, type ShoeInput, type Visit } from '@crescent/core'
import { addHorse, bringIn, FOOT, libraryOf, makeBed, SHOE, type Bed } from '../../testing'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

/** A pattern of Tansy's left fore of which these exits were written down, hole by hole of the outer branch. */
function nailed(seen: number[], changes: Partial<ShoeInput> = {}) {
  const { horse } = addHorse(bed.practice)
  const each = seen.map((height, i) => ({ number: i + 1, seen: height }))
  const shoe: ShoeInput = { ...SHOE, nails: { lateral: { each } }, ...changes }
  return {
    ...{ id: randomUUID(), version: 0, horseId: horse.id, side: 'LF', name: 'Seen', visitId: null },
    ...{ foot: FOOT, shoe, workshop: {}, notes: '', archived: false },
  }
}
const put = (pattern: ReturnType<typeof nailed>) =>
  request(bed.app).put(`/api/patterns/${pattern.id}`).send(pattern)
const turning = async () => (await request(bed.app).get('/api/nails/turning').expect(200)).body as NailTurning

describe('how nails turn', () => {
  it('is unknown until three exits were written down', async () => {
    expect(await turning()).toEqual({ seen: 0, turning: null })
    await put(nailed([20, 21])).expect(200)
    expect(await turning()).toEqual({ seen: 2, turning: null })
  })

  it('follows from all patterns together: exits as planned give the radius they were planned with', async () => {
    const planned = planShoe(FOOT, SHOE, { turningRadius: 30 }).nails.filter(
      ({ branch }) => branch === 'lateral',
    )
    const heights = planned.map(({ exitHeight }) => exitHeight)
    await put(nailed(heights.slice(0, 2))).expect(200)
    await put(nailed(heights)).expect(200)
    const found = await turning()
    expect(found.seen).toBe(6)
    expect(found.turning!.radius).toBeCloseTo(30, 1)
    expect(found.turning!.count).toBe(6)
  })
})

describe('what is stored of nails', () => {
  it('refuses a nail no box holds, and a mark that is no place of the wall', async () => {
    const workshop = (await request(bed.app).get('/api/workshop')).body as { id: string; version: number }
    const sizes = [{ name: 'Long', length: 900, shank: 2, head: 6 }]
    const refused = await request(bed.app)
      .put('/api/workshop')
      .send({ ...workshop, figures: { nailSizes: sizes } })
      .expect(400)
    expect(JSON.stringify(refused.body)).toContain('figures.nailSizes.0.length')
    const marked = { ...nailed([]), foot: { ...FOOT, keepClear: [{ why: 'gum', half: 'lateral' }] } }
    expect(JSON.stringify((await put(marked as never).expect(400)).body)).toContain('foot.keepClear.0')
  })

  it('keeps the close list with the visit, and brings in a visit from before there was one', async () => {
    const { visit } = addHorse(bed.practice)
    const closeList = { LF: { checked: ['two nails', 'clinched'], note: 'inner 3 low' } }
    const stored = (
      await request(bed.app)
        .put(`/api/visits/${visit.id}`)
        .send({ ...visit, closeList })
    ).body as Visit
    expect(stored.closeList).toEqual(closeList)
    expect(bed.practice.visits.get(visit.id)?.closeList).toEqual(closeList)

    const library = await libraryOf(bed)
    for (const one of library['visits'] as Partial<Visit>[]) delete one.closeList
    const elsewhere = makeBed()
    try {
      await bringIn(elsewhere, library)
      expect(elsewhere.practice.visits.get(visit.id)?.closeList).toEqual({})
    } finally {
      elsewhere.remove()
    }
  })

  it('refuses a check nobody knows', async () => {
    const { visit } = addHorse(bed.practice)
    const closeList = { LF: { checked: ['sung to'], note: '' } }
    await request(bed.app)
      .put(`/api/visits/${visit.id}`)
      .send({ ...visit, closeList })
      .expect(400)
  })
})
