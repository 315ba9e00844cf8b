import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import {
  closedGates,
  newLook,
  type Finding,
  type HorseSummary,
  type Look,
  type Round,
  type Visit,
} from '@crescent/core'
import { openPractice } from '../../practice'
import { addHorse, bringIn, libraryOf, makeBed, type Bed } from '../../testing'
import { WITHOUT_STOPS } from '../../testing/older'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

const ABSCESS: Finding = {
  ...{ id: randomUUID(), kind: 'track', place: 'toe-sole', grade: 3, note: '', answer: 'new' },
  since: '2026-10-01',
}

/** An open visit at which an abscess was found. */
function abscessed(findings = [ABSCESS]): { visit: Visit; look: Look } {
  const { visit: done } = addHorse(bed.practice)
  const visit = bed.practice.visits.put({
    ...done,
    id: randomUUID(),
    version: 0,
    date: '2026-11-20',
    state: 'open',
  })
  const look = newLook(randomUUID(), visit.id)
  look.feet.LF.findings = findings
  return { visit, look: bed.practice.looks.put(look) }
}
const put = (visit: Visit) => request(bed.app).put(`/api/visits/${visit.id}`).send(visit)
const errors = (body: unknown) => (body as { errors: { path: string; message: string }[] }).errors
const answer = (look: Look, allows?: 'shoe'): Look =>
  bed.practice.looks.put({
    ...look,
    acknowledged: closedGates(look).map(({ key, title }) => ({
      ...{ gate: key, title, words: 'Dr Sedge comes at noon', at: '2026-11-20T09:00:00.000Z' },
      ...(allows && { allows }),
    })),
  })

describe('a visit with a gate', () => {
  it('is not finished before somebody has answered it, and is then', async () => {
    const { visit, look } = abscessed()
    const refused = await put({ ...visit, state: 'done' }).expect(400)
    expect(errors(refused.body)[0]).toMatchObject({ path: 'state' })
    expect(errors(refused.body)[0]!.message).toContain('abscess')
    expect(bed.practice.visits.get(visit.id)!.state).toBe('open')
    answer(look)
    await put({ ...visit, state: 'done' }).expect(200)
  })

  it('no shoe goes on a foot with an abscess until the vet allows one; bare it may be left', async () => {
    const { visit, look } = abscessed()
    for (const work of ['shod', 'reset'] as const) {
      const { body } = await put({ ...visit, feet: { LF: { work } } }).expect(400)
      expect(errors(body)[0]!.path).toBe('feet.LF.work')
    }
    // Other feet are shod as ever.
    const others = (await put({ ...visit, feet: { RF: { work: 'shod' }, LF: { work: 'bare' } } }).expect(200))
      .body as Visit
    const told = answer(look)
    await put({ ...others, feet: { LF: { work: 'shod' } } }).expect(400)
    bed.practice.looks.put({
      ...told,
      acknowledged: told.acknowledged.map((one) => ({ ...one, allows: 'shoe' })),
    })
    await put({ ...others, feet: { LF: { work: 'shod' } } }).expect(200)
  })

  it('holds at the next visit too, as long as nobody has looked again', async () => {
    const { visit } = abscessed()
    const next = bed.practice.visits.put({
      ...visit,
      id: randomUUID(),
      version: 0,
      date: '2026-11-28',
      state: 'open',
    })
    await put({ ...next, feet: { LF: { work: 'shod' } } }).expect(400)
    const look = newLook(randomUUID(), next.id, bed.practice.looks.before(next))
    look.feet.LF.findings = [{ ...ABSCESS, id: randomUUID(), answer: 'gone' }]
    bed.practice.looks.put(look)
    await put({ ...next, feet: { LF: { work: 'shod' } } }).expect(200)
  })

  it('what was finished so before is not refused again when its note changes, and comes in with a library', async () => {
    const { visit } = abscessed()
    const done = bed.practice.visits.put({ ...visit, state: 'done', feet: { LF: { work: 'shod' } } })
    await put({ ...done, notes: 'written later' }).expect(200)
    const other = makeBed()
    try {
      expect((await bringIn(other, await libraryOf(bed))).kept).toEqual([])
    } finally {
      other.remove()
    }
  })
})

describe('stops beside the horse', () => {
  const stops = (practice = bed.practice) => practice.horses.search('', false, 10).map((horse) => horse.stops)
  const RUNNING = [
    expect.objectContaining({ side: 'LF', title: 'LF: abscess or track, sole at the toe (running)' }),
  ]

  it('stand on the round and in lists, and go once they are answered or the look goes', async () => {
    const { visit, look } = abscessed()
    expect(stops()).toEqual([RUNNING])
    const { body } = await request(bed.app).get('/api/round?date=2026-11-20').expect(200)
    expect((body as Round).seen.map((horse: HorseSummary) => horse.stops)).toEqual([RUNNING])
    const told = answer(look)
    // Told, and no shoe allowed: it still stands.
    expect(stops()).toEqual([RUNNING])
    const allowed = told.acknowledged.map((one) => ({ ...one, allows: 'shoe' as const }))
    const answered = bed.practice.looks.put({ ...told, acknowledged: allowed })
    expect(stops()).toEqual([[]])
    bed.practice.looks.put({ ...answered, acknowledged: [] })
    expect(stops()).toEqual([RUNNING])
    bed.practice.visits.put({ ...visit, archived: true })
    expect(stops()).toEqual([[]])
  })

  it('are there of what was stored before they were kept, as the triggers keep them', () => {
    abscessed()
    const kept = stops()
    const { db } = bed.practice
    db.exec(WITHOUT_STOPS)
    db.close()
    bed.practice = openPractice(db.name)
    expect(stops()).toEqual(kept)
    expect(kept).toEqual([RUNNING])
  })
})
