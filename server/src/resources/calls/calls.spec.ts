import { randomUUID } from 'node:crypto'
import ICAL from 'ical.js'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { PromisedCall, Round, RoundWeek } from '@crescent/core'
import { addHorse, bringIn, libraryOf, makeBed, type Bed } from '../../testing'
import { joinHorses } from '../joining/join'

let bed: Bed
let horseId: string
beforeEach(() => {
  bed = makeBed()
  const { horse, owner } = addHorse(bed.practice)
  horseId = horse.id
  bed.practice.owners.put({ ...owner, phone: '0123 456' })
})
afterEach(() => bed.remove())

const promised = (date: string, changes: Partial<PromisedCall> = {}): PromisedCall => ({
  ...{ id: randomUUID(), version: 0, horseId, date, whom: '', phone: '', about: 'Sore after the reset?' },
  ...{ done: null, said: '', archived: false },
  ...changes,
})
const put = (call: PromisedCall) => request(bed.app).put(`/api/calls/${call.id}`).send(call)
const round = async (date: string) =>
  (await request(bed.app).get(`/api/round?date=${date}`).expect(200)).body as Round
const list = async () =>
  (await request(bed.app).get(`/api/calls?horse=${horseId}`).expect(200)).body as PromisedCall[]

describe('calls promised', () => {
  it('stand on the round until they are made: to the owner, by his number, where nobody else is named', async () => {
    const call = (await put(promised('2026-03-02')).expect(200)).body as PromisedCall
    await put(promised('2026-03-06', { whom: 'Dr Saltmarsh', about: 'Radiographs' })).expect(200)
    await put(promised('2026-03-29', { about: 'Far off' })).expect(200)
    const { calls } = await round('2026-03-04')
    expect(calls.map(({ date, horse, whom, phone }) => [date, horse, whom, phone])).toEqual([
      ['2026-03-02', 'Tansy', 'Märta Lind', '0123 456'],
      // The owner’s number is not the vet’s.
      ['2026-03-06', 'Tansy', 'Dr Saltmarsh', ''],
    ])
    const made = (await put({ ...call, done: '2026-03-04', said: 'All well' }).expect(200))
      .body as PromisedCall
    expect((await round('2026-03-04')).calls.map(({ about }) => about)).toEqual(['Radiographs'])
    expect((await list()).map(({ about }) => about)).toEqual(['Radiographs', 'Far off', call.about])
    // Not made after all: it waits again.
    await put({ ...made, done: null }).expect(200)
    expect((await round('2026-03-04')).calls).toHaveLength(2)
  })

  it('lie on their days in the week, late ones apart, and none of a horse that was put away', async () => {
    await put(promised('2026-03-01')).expect(200)
    await put(promised('2026-03-05')).expect(200)
    const week = async () =>
      (await request(bed.app).get('/api/round/week?date=2026-03-02').expect(200)).body as RoundWeek
    const { days, lateCalls } = await week()
    expect(lateCalls.map(({ date }) => date)).toEqual(['2026-03-01'])
    expect(days.flatMap(({ calls }) => calls.map(({ date }) => date))).toEqual(['2026-03-05'])
    bed.practice.horses.put({ ...bed.practice.horses.get(horseId)!, archived: true })
    expect((await week()).lateCalls).toEqual([])
  })

  it('taken back or made are not asked for; without a word about what, and stale, they are refused', async () => {
    const call = (await put(promised('2026-03-02')).expect(200)).body as PromisedCall
    const refused = await put(promised('2026-03-02', { about: ' ' })).expect(400)
    expect((refused.body as { errors: { path: string }[] }).errors[0]!.path).toBe('about')
    await request(bed.app).get('/api/calls').expect(400)
    await put({ ...call, archived: true }).expect(200)
    await put({ ...call, about: 'from a window that did not know' }).expect(409)
    expect((await round('2026-03-04')).calls).toEqual([])
  })

  it('stand in the calendar by their day, read by another parser', async () => {
    await put(promised('2026-03-29')).expect(200)
    const { text } = await request(bed.app).get('/api/calendar.ics').expect(200)
    const events = new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one))
    const call = events.find(({ summary }) => summary === 'Call Märta Lind about Tansy')!
    // The night the clocks change in much of Europe.
    expect([call.startDate.toString(), call.startDate.isDate]).toEqual(['2026-03-29', true])
    expect(call.description).toBe('0123 456. Sore after the reset?')
  })

  it('go with their horse when it is erased, and no other’s do', async () => {
    await put(promised('2026-03-02')).expect(200)
    const other = addHorse(bed.practice, 'Nettle').horse.id
    const kept = (await put(promised('2026-03-02', { horseId: other })).expect(200)).body as PromisedCall
    const { version } = bed.practice.horses.get(horseId)!
    await request(bed.app).post(`/api/horses/${horseId}/erase`).send({ version }).expect(200)
    expect(bed.practice.calls.list().map(({ id }) => id)).toEqual([kept.id])
  })

  it('go with the library and come back, and with their horse when two records become one', async () => {
    await put(promised('2026-03-02')).expect(200)
    const library = await libraryOf(bed)
    const other = makeBed()
    try {
      await bringIn(other, library)
      expect((await libraryOf(other))['calls']).toEqual(library['calls'])
    } finally {
      other.remove()
    }
    const kept = addHorse(bed.practice, 'Tansy again').horse.id
    joinHorses(bed.practice, { keptId: kept, otherId: horseId })
    expect(bed.practice.calls.ofHorse(kept)).toHaveLength(1)
    // The old id is another name of the new one.
    expect(bed.practice.calls.ofHorse(horseId)).toHaveLength(1)
  })
})
