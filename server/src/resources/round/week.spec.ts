import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { addDays, type RoundWeek } from '@crescent/core'
import { beginCourse } from '@crescent/core/courses'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { saveShoeing } from '../visits/shoeing'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

/** A horse that was shod and is due on a day. */
function dueOn(name: string, due: string, place: string, minutes?: number): string {
  const { practice } = bed
  const { horse, visit } = addHorse(practice, name)
  practice.horses.put({ ...horse, place })
  const patternId = randomUUID()
  saveShoeing(practice, {
    pattern: {
      ...{ id: patternId, version: 0, horseId: horse.id, side: 'LF', name: 'Set', visitId: visit.id },
      ...{ foot: FOOT, shoe: SHOE, workshop: {}, notes: '', archived: false },
    },
    record: { id: randomUUID(), version: 0, visitId: visit.id, side: 'LF', foot: FOOT, patternId, notes: '' },
  })
  if (minutes !== undefined)
    practice.tries.put({
      ...{ id: randomUUID(), version: 0, visitId: visit.id, side: 'LF', shoe: 'Set', handmade: true },
      ...{ walks: 1, heats: 1, minutes, fits: true, before: null, corrections: [], contacts: {} },
    })
  practice.visits.put({ ...practice.visits.get(visit.id)!, state: 'done', nextDue: due })
  return horse.id
}

const week = async (date: string, days = 7) =>
  (await request(bed.app).get(`/api/round/week?date=${date}&days=${days}`).expect(200)).body as RoundWeek
const move = (id: string, date: string, was: string) =>
  request(bed.app).put(`/api/horses/${id}/due`).send({ date, was })

it('tells who is due when, by place, how long it takes and what it needs; the clocks change nothing', async () => {
  // Clocks change on 25 October 2026 in much of Europe, on 1 November in much of America.
  dueOn('Tern', '2026-10-25', 'Wick', 40)
  dueOn('Auk', '2026-10-25', 'Wick')
  dueOn('Gull', '2026-10-25', 'Anness')
  dueOn('Late', '2026-10-20', 'Wick')
  // Under the hammer at this moment: late no more.
  const begun = dueOn('Begun', '2026-10-20', 'Wick')
  bed.practice.visits.put({
    ...{ id: randomUUID(), version: 0, horseId: begun, date: '2026-10-24', state: 'open' },
    ...{ notes: '', nextDue: null, feet: {}, closeList: {}, archived: false },
  })
  const { days, overdue } = await week('2026-10-24', 14)
  expect(days.map(({ date }) => date)).toEqual(Array.from({ length: 14 }, (_, i) => addDays('2026-10-24', i)))
  expect(new Set(days.map(({ date }) => date)).size).toBe(14)
  expect(days[1]!.stops.map(({ horse }) => horse.name)).toEqual(['Gull', 'Auk', 'Tern'])
  const tern = days[1]!.stops[2]!
  expect(tern.minutes).toBe(40)
  expect(tern.bars).toEqual([
    expect.objectContaining({ count: 1, section: expect.objectContaining({ width: SHOE.section.width }) }),
  ])
  expect(tern.bars[0]!.total).toBeGreaterThan(250)
  expect(days[1]!.stops[1]!.minutes).toBeNull()
  expect(overdue.map(({ horse }) => horse.name)).toEqual(['Late'])
})

it('carries steps of courses on their days, and those that are late apart', async () => {
  const horseId = dueOn('Tern', '2026-10-25', 'Wick')
  const course = beginCourse(
    { id: randomUUID(), horseId, side: 'LF', kind: 'expander', startedOn: '2026-10-20' },
    randomUUID,
  )
  bed.practice.courses.put(course)
  const { days, late } = await week('2026-10-24')
  expect(days.flatMap(({ date, steps }) => steps.map(() => date))).toEqual(['2026-10-29'])
  expect(late.map(({ date }) => date)).toEqual(['2026-10-20'])
})

it('puts a horse on another day, once; what was moved elsewhere meanwhile is not overwritten', async () => {
  const id = dueOn('Tern', '2026-10-25', 'Wick')
  const { body } = await move(id, '2026-10-27', '2026-10-25').expect(200)
  expect(body.due).toBe('2026-10-27')
  // The same again is harmless.
  await move(id, '2026-10-27', '2026-10-25').expect(200)
  const refused = await move(id, '2026-10-29', '2026-10-25').expect(409)
  expect(refused.body.current.due).toBe('2026-10-27')
  const { days } = await week('2026-10-24')
  expect(days.find(({ stops }) => stops.length > 0)!.date).toBe('2026-10-27')
  await move(randomUUID(), '2026-10-29', '2026-10-25').expect(404)
  await move(id, 'soon', '2026-10-27').expect(400)
  await request(bed.app).get('/api/round/week?date=2026-10-24&days=90').expect(400)
})
