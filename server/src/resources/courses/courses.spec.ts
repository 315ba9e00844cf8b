import { randomUUID } from 'node:crypto'
import ICAL from 'ical.js'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { Round } from '@crescent/core'
import { beginCourse, stopped, withStepDone, type Course } from '@crescent/core/courses'
import { addHorse, bringIn, libraryOf, makeBed, type Bed } from '../../testing'
import { pagesOf } from '../../testing/pdf'

let bed: Bed
let horseId: string
beforeEach(() => {
  bed = makeBed()
  horseId = addHorse(bed.practice).horse.id
})
afterEach(() => bed.remove())

const begun = (kind: Course['kind'] = 'expander', startedOn = '2026-03-02'): Course =>
  beginCourse({ id: randomUUID(), horseId, side: 'LF', kind, startedOn, who: 'Dr Saltmarsh' }, randomUUID)
const put = (course: Course) => request(bed.app).put(`/api/courses/${course.id}`).send(course)
const round = async (date: string) =>
  (await request(bed.app).get(`/api/round?date=${date}`).expect(200)).body as Round
const list = async () =>
  (await request(bed.app).get(`/api/courses?horse=${horseId}`).expect(200)).body as Course[]

describe('courses', () => {
  it('are stored, read by horse, and their steps stand on the round until they are done', async () => {
    const course = (await put(begun()).expect(200)).body as Course
    expect((await list()).map(({ id }) => id)).toEqual([course.id])
    const { steps } = await round('2026-03-04')
    // Bar 1 is overdue, bar 2 comes within the week; bar 3 not yet.
    expect(steps.map(({ date, label, horse }) => [date, label, horse])).toEqual([
      ['2026-03-02', 'Cross bar 1', 'Tansy'],
      ['2026-03-11', 'Cross bar 2', 'Tansy'],
    ])
    const next = withStepDone(course, course.steps[0]!.id, { on: '2026-03-04', value: 31.75 })
    await put(next).expect(200)
    expect((await round('2026-03-04')).steps.map(({ date }) => date)).toEqual([])
    expect((await round('2026-03-06')).steps.map(({ date }) => date)).toEqual(['2026-03-13'])
  })

  it('stopped ask for nothing more, on the round or in the calendar', async () => {
    const course = (await put(begun()).expect(200)).body as Course
    const refused = await put(stopped(course, '2026-03-05', '')).expect(400)
    expect(JSON.stringify(refused.body)).toContain('Say why it was stopped')
    await put(stopped(course, '2026-03-05', 'pain at the first bar')).expect(200)
    expect((await round('2026-06-01')).steps).toEqual([])
    const feed = await request(bed.app).get('/api/calendar.ics').expect(200)
    expect(feed.text).not.toContain('Cross bar')
    expect((await list())[0]!.ended).toMatchObject({ how: 'stopped', reason: 'pain at the first bar' })
  })

  it('stand in the calendar by their days, read by another parser, in the unit asked for', async () => {
    const course = (await put(begun()).expect(200)).body as Course
    const { text } = await request(bed.app).get('/api/calendar.ics?unit=in').expect(200)
    const events = new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one))
    const bars = events.filter(({ summary }) => summary.includes('Cross bar'))
    expect(bars.map(({ startDate }) => startDate.toString())).toEqual(
      course.steps.slice(0, 4).map(({ date }) => date),
    )
    expect(bars.every(({ startDate }) => startDate.isDate)).toBe(true)
    expect(bars[1]!.description).toContain('1/8"')
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length)
  })

  it('print the owner’s list with its days', async () => {
    const course = (await put(begun('hospital-plate')).expect(200)).body as Course
    const { body, headers } = await request(bed.app)
      .get(`/api/courses/${course.id}/list`)
      .buffer()
      .parse((response, done) => {
        const pieces: Buffer[] = []
        response.on('data', (piece: Buffer) => pieces.push(piece))
        response.on('end', () => done(null, Buffer.concat(pieces)))
      })
      .expect(200)
    expect(headers['content-type']).toBe('application/pdf')
    const words = (await pagesOf(body as Buffer)).map(({ text }) => text).join(' ')
    expect(words).toContain('Tighten the screws every day')
    expect(words).toContain('Wednesday 4 March 2026, you: First dressing')
    expect(words).toContain('call the vet, Dr Saltmarsh, first')
    await request(bed.app).get(`/api/courses/${randomUUID()}/list`).expect(404)
  })

  it('are refused where they cannot be, and by figure', async () => {
    await request(bed.app).get('/api/courses').expect(400)
    const course = begun()
    const early = { ...course, steps: course.steps.map((step) => ({ ...step, date: '2026-01-01' })) }
    const refused = await put(early).expect(400)
    expect(JSON.stringify(refused.body)).toContain('steps.0.date')
    const stored = (await put(course).expect(200)).body as Course
    await put({ ...stored, version: 7 }).expect(409)
  })

  it('go with the library and come back; go with the horse when it is erased', async () => {
    await put(begun()).expect(200)
    const library = await libraryOf(bed)
    expect(library['courses']).toHaveLength(1)
    const other = makeBed()
    try {
      await bringIn(other, library)
      expect((await libraryOf(other))['courses']).toEqual(library['courses'])
    } finally {
      other.remove()
    }
  })
})
