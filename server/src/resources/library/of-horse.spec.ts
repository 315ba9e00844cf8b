import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { addHorse, bringIn, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { savePattern } from '../patterns/save'

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())

/** A visit on a day, at which a shoe was fitted and the foot recorded as wearing the pattern that is named. */
function visitOn(horseId: string, date: string, worn?: string) {
  const [like] = bed.practice.visits.ofHorse(horseId)
  const visit = bed.practice.visits.put({ ...like!, id: randomUUID(), version: 0, date, state: 'done' })
  const design = { horseId, side: 'LF' as const, visitId: visit.id, foot: FOOT, shoe: SHOE }
  const pattern = worn ?? randomUUID()
  if (!worn)
    savePattern(bed.practice, {
      ...{ ...design, id: pattern, version: 0, name: date, workshop: {}, notes: '', archived: false },
    })
  const record = { id: randomUUID(), version: 0, visitId: visit.id, side: 'LF' as const, foot: FOOT }
  bed.practice.footRecords.put({ ...record, patternId: pattern, notes: '' })
  return { visit: visit.id, pattern, record: record.id }
}

const library = async (horse: string, days = '') =>
  (await request(bed.app).get(`/api/horses/${horse}/library${days}`).expect(200)).body
const ids = (records: { id: string }[]) => records.map(({ id }) => id).sort()

describe('the library of one horse', () => {
  it('holds what was stored at the visits between two days, and the visit at which what was worn then was made', async () => {
    const { horse, visit, owner } = addHorse(bed.practice)
    const other = addHorse(bed.practice, 'Another')
    visitOn(other.horse.id, '2026-06-01')
    const first = visitOn(horse.id, '2026-01-05')
    const unasked = visitOn(horse.id, '2026-03-02')
    const reset = visitOn(horse.id, '2026-06-01', first.pattern)
    const late = visitOn(horse.id, '2026-06-30')

    const part = await library(horse.id, '?from=2026-06-01&to=2026-06-30')
    expect(ids(part.owners)).toEqual([owner.id])
    expect(ids(part.visits)).toEqual([first.visit, reset.visit, late.visit].sort())
    expect(ids(part.patterns)).toEqual([first.pattern, late.pattern].sort())
    expect(ids(part.footRecords)).toEqual([reset.record, late.record].sort())

    const whole = await library(horse.id)
    expect(ids(whole.visits)).toEqual([visit.id, first.visit, unasked.visit, reset.visit, late.visit].sort())
    expect(ids(whole.horses)).toEqual([horse.id])

    // A part stands on its own: it is brought in where nothing else of the horse is.
    const elsewhere = makeBed()
    expect(await bringIn(elsewhere, part)).toMatchObject({ added: 1 + 1 + 3 + 2 + 2, kept: [] })
    elsewhere.remove()
  })

  it('names the day that is none, the days that lie the wrong way round and the horse that is not there', async () => {
    const { horse } = addHorse(bed.practice)
    const at = (days: string, id = horse.id) => request(bed.app).get(`/api/horses/${id}/library${days}`)
    expect((await at('?from=yesterday').expect(400)).body.errors[0].path).toBe('from')
    expect((await at('?from=2026-06-02&to=2026-06-01').expect(400)).body.errors).toEqual([
      { path: 'to', message: 'The last day lies before the first' },
    ])
    await at('', randomUUID()).expect(404)
    // Asked of the whole library as it was once, it is refused and not answered with everything.
    await request(bed.app).get(`/api/library?horse=${horse.id}`).expect(400)
  })
})
