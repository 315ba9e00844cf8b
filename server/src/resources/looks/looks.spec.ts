import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { newLook, type Gate, type HorsePage, type Look, type VisitPage } from '@crescent/core'
import type { Advice } from '@crescent/core/advice'
import { addHorse, type Bed, bringIn, FOOT, libraryOf, makeBed } from '../../testing'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

const finding = (changes: Partial<Look['feet']['LF']['findings'][number]> = {}) => ({
  id: randomUUID(),
  kind: 'flare' as const,
  place: 'outer-quarter' as const,
  grade: 2,
  note: '',
  answer: 'new' as const,
  since: '2026-10-01',
  ...changes,
})

function lookOf(visitId: string, findings = [finding()]): Look {
  const look = newLook(randomUUID(), visitId)
  look.feet.LF.findings = findings
  return look
}
const put = (look: Look) => request(bed.app).put(`/api/looks/${look.id}`).send(look)

describe('looks', () => {
  it('are stored, read with the visit and found again at the next one', async () => {
    const { horse, visit } = addHorse(bed.practice)
    const look = lookOf(visit.id)
    const stored = (await put(look).expect(200)).body as Look
    expect(stored.version).toBe(1)
    const next = bed.practice.visits.put({
      ...visit,
      id: randomUUID(),
      version: 0,
      date: '2026-11-15',
      state: 'open',
    })
    const here = (await request(bed.app).get(`/api/visits/${visit.id}/page`)).body as VisitPage
    expect(here.look).toEqual(stored)
    expect(here.lookBefore).toBeNull()
    const page = (await request(bed.app).get(`/api/visits/${next.id}/page`)).body as VisitPage
    expect(page.look).toBeNull()
    expect(page.lookBefore?.feet.LF.findings[0]).toMatchObject({ kind: 'flare', grade: 2 })
    expect(page.lastVisit).toMatchObject({ date: '2026-10-01' })
    const horsePage = (await request(bed.app).get(`/api/horses/${horse.id}/page`)).body as HorsePage
    expect(horsePage.looks).toHaveLength(1)
  })

  it('refuses a stale write and a second look at the same visit, with what is stored', async () => {
    const { visit } = addHorse(bed.practice)
    const look = lookOf(visit.id)
    const stored = (await put(look).expect(200)).body as Look
    const changed = { ...stored, ways: { ...stored.ways, notes: 'muddy' } }
    await put(changed).expect(200)
    const stale = await put({ ...stored, ways: { ...stored.ways, notes: 'dry' } }).expect(409)
    expect((stale.body as { current: Look }).current.ways.notes).toBe('muddy')
    const second = await put(lookOf(visit.id)).expect(409)
    expect((second.body as { current: Look }).current.id).toBe(look.id)
  })

  it('names what does not fit', async () => {
    const { visit } = addHorse(bed.practice)
    const look = lookOf(visit.id, [finding({ grade: 9 })])
    const refused = await put(look).expect(400)
    expect((refused.body as { errors: { path: string }[] }).errors[0]!.path).toBe('feet.LF.findings.0.grade')
  })

  it('go out and come in with the library; a library from before looks still comes in', async () => {
    const { visit } = addHorse(bed.practice)
    bed.practice.looks.put(lookOf(visit.id))
    const library = await libraryOf(bed)
    expect(library['looks']).toHaveLength(1)
    const other = makeBed()
    try {
      expect((await bringIn(other, library)).kept).toEqual([])
      expect(other.practice.looks.ofVisit(visit.id)?.feet.LF.findings).toHaveLength(1)
      expect((await bringIn(other, library)).added).toBe(0)
      const { looks: _looks, ...older } = library
      expect((await bringIn(other, older)).added).toBe(0)
    } finally {
      other.remove()
    }
  })
})

describe('POST /api/advice', () => {
  it('answers advice and gates for a foot', async () => {
    const look = lookOf(randomUUID(), [finding({ kind: 'track', place: 'toe-sole', grade: 2 })])
    look.ways.work = 'racing'
    const { body } = await request(bed.app)
      .post('/api/advice')
      .send({ look, side: 'LF', foot: { ...FOOT, wallThickness: 5 }, weeksSince: 12 })
      .expect(200)
    const { advice, gates, closed } = body as { advice: Advice[]; gates: Gate[]; closed: Gate[] }
    // Over a fresh abscess no shoe goes on: what one could do better is not spoken of.
    expect(advice.map(({ code }) => code)).toEqual(['abscess-open', 'shorter-cycle'])
    expect(gates).toHaveLength(1)
    expect(closed).toHaveLength(1)
  })
  it('names what is missing', async () => {
    const { body } = await request(bed.app).post('/api/advice').send({ side: 'LF' }).expect(400)
    expect((body as { errors: { path: string }[] }).errors[0]!.path).toBe('look')
  })
})
