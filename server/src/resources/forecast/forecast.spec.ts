import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { addDays, newLook, type Look } from '@crescent/core'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { saveShoeing } from '../visits/shoeing'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

/** A horse shod every six weeks, its left fore read before each trim: the toe grew, the shoe wore by so much a week. */
function shod(going: string, visits: number, wearPerWeek: number): string {
  const { practice } = bed
  const { horse } = addHorse(practice, randomUUID())
  practice.horses.put({ ...horse, going })
  for (let i = 0; i < visits; i++) {
    const visit = practice.visits.put({
      ...{
        id: randomUUID(),
        version: 0,
        horseId: horse.id,
        date: addDays('2026-01-05', i * 42),
        state: 'open',
      },
      ...{ notes: '', nextDue: null, feet: {}, closeList: {}, archived: false },
    })
    const foot = { ...FOOT, dorsalLength: 80 }
    const patternId = randomUUID()
    saveShoeing(practice, {
      pattern: {
        ...{ id: patternId, version: 0, horseId: horse.id, side: 'LF', name: `Set ${i}`, visitId: visit.id },
        ...{ foot, shoe: SHOE, workshop: {}, notes: '', archived: false },
      },
      record: { id: randomUUID(), version: 0, visitId: visit.id, side: 'LF', foot, patternId, notes: '' },
    })
    const look: Look = newLook(randomUUID(), visit.id)
    const oldShoe = { leftToe: SHOE.section.thickness - wearPerWeek * 6 + 0.1 * (i % 2) }
    practice.looks.put({
      ...look,
      feet: { ...look.feet, LF: { ...look.feet.LF, oldShoe, untrimmed: { dorsalLength: 89 } } },
    })
    practice.visits.put({ ...practice.visits.get(visit.id)!, state: 'done' })
  }
  return horse.id
}

const ask = async (id: string, date = '2026-10-01') =>
  (await request(bed.app).get(`/api/horses/${id}/forecast?date=${date}`).expect(200)).body as {
    feet: {
      growth?: { perWeek: number }
      wear?: { pooled: boolean; rate: { count: number; perWeek: number } }
    }[]
    cycle: { weeks: number; limit: string }
  }

it('reads growth and wear of a horse from its own visits, and proposes when to come', async () => {
  const id = shod('road', 5, 0.5)
  const { feet, cycle } = await ask(id)
  expect(feet[0]!.growth!.perWeek).toBeCloseTo(9 / 6, 6)
  expect(feet[0]!.wear).toMatchObject({ pooled: false, rate: { count: 4 } })
  expect(feet[0]!.wear!.rate.perWeek).toBeCloseTo(0.5, 1)
  expect(cycle.weeks).toBeLessThan(7)
})

it('takes others on the same going where a horse has little of its own, none from another going', async () => {
  shod('road', 5, 0.8)
  shod('moor', 5, 0.1)
  const { feet } = await ask(shod('road', 2, 0.8))
  expect(feet[0]!.wear).toMatchObject({ pooled: true, rate: { count: 5 } })
  expect(feet[0]!.wear!.rate.perWeek).toBeCloseTo(0.8, 1)
})

it('knows a horse that is not here, and asks for a day', async () => {
  await request(bed.app).get(`/api/horses/${randomUUID()}/forecast?date=2026-10-01`).expect(404)
  const id = shod('road', 1, 0.5)
  await request(bed.app).get(`/api/horses/${id}/forecast`).expect(400)
  await request(bed.app).get(`/api/horses/${id}/forecast?date=soon`).expect(400)
})
