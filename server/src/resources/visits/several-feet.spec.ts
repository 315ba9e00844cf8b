import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { newLook, type Side, type Visit, type VisitPage } from '@crescent/core'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'

let bed: Bed
let horseId: string
beforeEach(() => {
  bed = makeBed()
  horseId = addHorse(bed.practice).horse.id
})
afterEach(() => bed.remove())

const DAY = '2026-11-20'
const next = async (date = DAY): Promise<VisitPage> =>
  (await request(bed.app).get(`/api/horses/${horseId}/next-visit`).query({ date }).expect(200)).body

function shoeing(visitId: string, side: Side, more: object = {}) {
  const pattern = {
    ...{
      id: randomUUID(),
      version: 0,
      horseId,
      side,
      name: 'Set',
      visitId,
      foot: { ...FOOT, side },
      shoe: SHOE,
    },
    ...more,
  }
  const record = { id: randomUUID(), version: 0, visitId, side, foot: pattern.foot, patternId: pattern.id }
  return { pattern, record }
}
const put = (id: string, body: object) => request(bed.app).put(`/api/visits/${id}/feet`).send(body)
const stored = (visitId: string): Side[] => bed.practice.footRecords.ofVisit(visitId).map(({ side }) => side)
const pathsOf = (body: unknown) => (body as { errors: { path: string }[] }).errors.map(({ path }) => path)

describe('the visit that would begin', () => {
  it('is told and not stored; the one that is open goes on', async () => {
    const { visit } = await next()
    expect(visit).toMatchObject({ version: 0, date: DAY, state: 'open', horseId })
    expect(bed.practice.visits.get(visit.id)).toBeUndefined()
    bed.practice.visits.put(visit)
    expect((await next('2026-11-24')).visit).toMatchObject({ id: visit.id, version: 1 })
  })

  it('knows no horse that is not there, and no day that is none', async () => {
    await request(bed.app).get(`/api/horses/${randomUUID()}/next-visit?date=${DAY}`).expect(404)
    await request(bed.app).get(`/api/horses/${horseId}/next-visit?date=soon`).expect(400)
  })
})

describe('several feet', () => {
  it('are stored with the visit that begins with them, in one go, and a repeat is the same', async () => {
    const { visit } = await next()
    const sent = { visit, feet: [shoeing(visit.id, 'LF'), shoeing(visit.id, 'RH')] }
    const one = (await put(visit.id, sent).expect(200)).body
    expect(one.visit).toMatchObject({ id: visit.id, version: 1 })
    expect(one.feet.map((foot: { record: { side: Side } }) => foot.record.side)).toEqual(['LF', 'RH'])
    expect(stored(visit.id).sort()).toEqual(['LF', 'RH'])
    expect((await put(visit.id, sent).expect(200)).body).toEqual(one)
  })

  it('are all left where one of them cannot be made', async () => {
    const { visit } = await next()
    const broken = shoeing(visit.id, 'RF', { shoe: { ...SHOE, section: { ...SHOE.section, width: 4 } } })
    await put(visit.id, { visit, feet: [shoeing(visit.id, 'LF'), broken] }).expect(400)
    expect(bed.practice.visits.get(visit.id)).toBeUndefined()
    expect(stored(visit.id)).toEqual([])
  })

  it('tell by foot what was changed elsewhere, and store none', async () => {
    const visit = bed.practice.visits.put((await next()).visit)
    const [LF, RF] = [shoeing(visit.id, 'LF'), shoeing(visit.id, 'RF')]
    await put(visit.id, { feet: [LF] }).expect(200)
    const mine = { ...LF, record: { ...LF.record, foot: { ...FOOT, width: 130 } } }
    const { body } = await put(visit.id, { feet: [mine, RF] }).expect(409)
    expect(body.current.feet.LF.record).toMatchObject({ version: 1, foot: { width: FOOT.width } })
    expect(body.current.feet.RF).toBeUndefined()
    expect(stored(visit.id)).toEqual(['LF'])
    const older: Visit = { ...visit, version: 0, notes: 'mine' }
    const visitRefused = await put(visit.id, { visit: older, feet: [RF] }).expect(409)
    expect(visitRefused.body.current.visit).toMatchObject({ version: 1, notes: '' })
    expect(stored(visit.id)).toEqual(['LF'])
  })

  it('belong to the horse and stand once', async () => {
    const { visit } = await next()
    const other = addHorse(bed.practice, 'Rush').horse.id
    const stray = shoeing(visit.id, 'LF', { horseId: other })
    expect(pathsOf((await put(visit.id, { visit, feet: [stray] }).expect(400)).body)).toEqual([
      'feet.0.pattern.horseId',
    ])
    const twice = [shoeing(visit.id, 'LF'), shoeing(visit.id, 'LF')]
    expect(pathsOf((await put(visit.id, { visit, feet: twice }).expect(400)).body)).toEqual([
      'feet.1.record.side',
    ])
    await put(randomUUID(), { feet: [] }).expect(404)
    await put(randomUUID(), { visit, feet: [] }).expect(400)
  })

  it('are not shod past a gate', async () => {
    const { visit } = await next()
    bed.practice.visits.put(visit)
    const look = newLook(randomUUID(), visit.id)
    look.feet.LF.findings = [
      { id: randomUUID(), kind: 'track', place: 'toe-sole', grade: 3, note: '', answer: 'new', since: DAY },
    ]
    bed.practice.looks.put(look)
    const begun = { ...visit, version: 1, feet: { LF: { work: 'shod' }, RF: { work: 'reset' } } }
    expect(pathsOf((await put(visit.id, { visit: begun, feet: [] }).expect(400)).body)).toEqual([
      'feet.LF.work',
    ])
    expect(bed.practice.visits.get(visit.id)!.feet).toEqual({})
    await put(visit.id, { visit: { ...begun, feet: { RF: { work: 'reset' } } }, feet: [] }).expect(200)
  })
})
