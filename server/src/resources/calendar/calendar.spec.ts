import ICAL from 'ical.js'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { addHorse, makeBed, type Bed } from '../../testing'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

const calendar = async () => {
  const { text, headers } = await request(bed.app).get('/api/calendar.ics').expect(200)
  expect(headers['content-type']).toContain('text/calendar')
  return { text, component: new ICAL.Component(ICAL.parse(text) as unknown[]) }
}

describe('the calendar of next visits', () => {
  it('is read by an independent parser: whole days, each horse on the day it is due', async () => {
    // Visited on 2026-10-01 with a cycle of six weeks.
    addHorse(bed.practice, 'Tansy; the “old” one, grey')
    const { component } = await calendar()
    const [event, ...more] = component.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))
    expect(more).toEqual([])
    expect(event!.startDate.isDate).toBe(true)
    expect(event!.startDate.toString()).toBe('2026-11-12')
    expect(event!.summary).toBe('Tansy; the “old” one, grey due')
    expect(event!.description).toContain('Märta Lind')
  })

  it('keeps to the form of RFC 5545: lines of 75 octets at the most, ended by CR and LF, with version and stamps', async () => {
    addHorse(bed.practice, 'Ä'.repeat(60))
    const { text, component } = await calendar()
    for (const line of text.split('\r\n')) {
      expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
      expect(line).not.toContain('\n')
    }
    expect(component.getFirstPropertyValue('version')).toBe('2.0')
    expect(component.getFirstPropertyValue('prodid')).toBeTruthy()
    const [event] = component.getAllSubcomponents('vevent')
    for (const name of ['uid', 'dtstamp', 'dtstart']) expect(event!.getFirstPropertyValue(name)).toBeTruthy()
  })

  it('names an entry the same whenever it is asked, and leaves out who is archived', async () => {
    const { horse } = addHorse(bed.practice)
    const uid = async () =>
      (await calendar()).component
        .getAllSubcomponents('vevent')
        .map((one) => one.getFirstPropertyValue('uid'))
    const [first] = [await uid()]
    expect(first).toEqual([`${horse.id}@crescent`])
    expect(await uid()).toEqual(first)
    bed.practice.horses.put({ ...horse, archived: true })
    expect(await uid()).toEqual([])
  })

  it('holds the days that it is asked for, both ends with them', async () => {
    // Due on 2026-11-12.
    addHorse(bed.practice)
    const count = async (query: string) => {
      const { text } = await request(bed.app).get(`/api/calendar.ics?${query}`).expect(200)
      return text.match(/BEGIN:VEVENT/g)?.length ?? 0
    }
    for (const [query, events] of [
      ['from=2026-11-12', 1],
      ['to=2026-11-12', 1],
      ['from=2026-11-12&to=2026-11-12', 1],
      ['from=2026-11-13', 0],
      ['to=2026-11-11', 0],
    ] as const)
      expect([query, await count(query)]).toEqual([query, events])
    const { body } = await request(bed.app).get('/api/calendar.ics?from=2026-11-13&to=2026-11-01').expect(400)
    expect(body.errors).toEqual([{ path: 'to', message: 'The last day lies before the first' }])
  })
})
