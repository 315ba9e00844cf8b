import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { addDays, newLook, type Look, type Visit } from '@crescent/core'
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

const ask = async (id: string, date = '2026-10-01', visit = '') =>
  (
    await request(bed.app)
      .get(`/api/horses/${id}/forecast?date=${date}${visit && `&visit=${visit}`}`)
      .expect(200)
  ).body as {
    from: string
    feet: {
      growth?: { perWeek: number }
      wear?: {
        pooled: boolean
        rate: { count: number; perWeek: number }
        through?: { date: string; weeks: number }
      }
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

it('reckons from a visit that is being finished: a shoe put on again there begins with what is left of it', async () => {
  const { practice } = bed
  const id = shod('road', 5, 0.5)
  const [bare, last] = practice.visits.ofHorse(id).sort((a, b) => (a.date < b.date ? 1 : -1)) as [
    Visit,
    Visit,
  ]
  // The visit the bed came with: nothing was done at it.
  practice.visits.put({ ...bare, archived: true })
  const date = addDays(last.date, 42)
  const visit = practice.visits.put({
    ...{ id: randomUUID(), version: 0, horseId: id, date, state: 'open', archived: false },
    ...{ notes: '', nextDue: null, feet: {}, closeList: {} },
  })
  const look = newLook(randomUUID(), visit.id)
  practice.looks.put({
    ...look,
    feet: { ...look.feet, LF: { ...look.feet.LF, oldShoe: { leftToe: 5 } } },
  })
  // Nobody asked for it: it is reckoned from the last one that was finished.
  expect((await ask(id, date)).from).toBe(last.date)
  const anew = await ask(id, date, visit.id)
  expect(anew.from).toBe(date)
  practice.visits.put({ ...visit, feet: { LF: { work: 'reset' } } })
  const again = await ask(id, date, visit.id)
  // A third of the bar must be left: 7.9 mm anew, 5 mm again.
  const bar = SHOE.section.thickness
  const rate = again.feet[0]!.wear!.rate.perWeek
  expect(anew.feet[0]!.wear!.through!.weeks).toBeCloseTo((bar * 2) / 3 / rate, 1)
  expect(again.feet[0]!.wear!.through!.weeks).toBeCloseTo((5 - bar / 3) / rate, 1)
  await request(bed.app).get(`/api/horses/${id}/forecast?date=${date}&visit=x`).expect(400)
})

it('knows a horse that is not here, and asks for a day', async () => {
  await request(bed.app).get(`/api/horses/${randomUUID()}/forecast?date=2026-10-01`).expect(404)
  const id = shod('road', 1, 0.5)
  await request(bed.app).get(`/api/horses/${id}/forecast`).expect(400)
  await request(bed.app).get(`/api/horses/${id}/forecast?date=soon`).expect(400)
})
