import { randomUUID } from 'node:crypto'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import request from 'supertest'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())
const api = () => request(bed.app)

/** A foot with its pattern as the Bench sends them. */
function shoeing(horseId: string, visitId: string) {
  const pattern = {
    id: randomUUID(),
    version: 0,
    horseId,
    side: 'LF',
    name: 'Set',
    visitId,
    foot: FOOT,
    shoe: SHOE,
  }
  const record = { id: randomUUID(), version: 0, visitId, side: 'LF', foot: FOOT, patternId: pattern.id }
  return { pattern, record }
}
const put = (sent: { pattern: object; record: { visitId: string; side: string } }) =>
  api().put(`/api/visits/${sent.record.visitId}/feet/${sent.record.side}`).send(sent)

describe('a foot with its pattern', () => {
  it('is stored in one go, and a repeat of the request is the same', async () => {
    const { horse, visit } = addHorse(bed.practice)
    const sent = shoeing(horse.id, visit.id)
    const one = (await put(sent).expect(200)).body
    expect(one.pattern).toMatchObject({ version: 1, result: { cutLength: expect.any(Number) } })
    expect(one.record).toMatchObject({ version: 1, patternId: sent.pattern.id })
    expect((await put(sent).expect(200)).body).toEqual(one)
  })

  it('is refused once for both, with what is stored of each, and stores neither', async () => {
    const { horse, visit } = addHorse(bed.practice)
    const sent = shoeing(horse.id, visit.id)
    await put(sent).expect(200)
    const stale = {
      pattern: { ...sent.pattern, name: 'Mine' },
      record: { ...sent.record, foot: { ...FOOT, width: 130 } },
    }
    const refused = (await put(stale).expect(409)).body
    expect(refused.current).toMatchObject({
      pattern: { name: 'Set', version: 1 },
      record: { version: 1, foot: { width: 127 } },
    })
    // Only the foot is stale: the pattern is not stored without it.
    const half = { ...stale, pattern: { ...stale.pattern, version: 1 } }
    const asked = (await put(half).expect(409)).body
    expect(asked.current.pattern).toBeUndefined()
    expect(asked.current.record).toMatchObject({ version: 1 })
    expect(bed.practice.patterns.get(sent.pattern.id)).toMatchObject({ name: 'Set', version: 1 })
    expect(bed.practice.patterns.versions(sent.pattern.id)).toHaveLength(1)
  })

  it('is refused with a pattern for another horse, and nothing is stored', async () => {
    const { visit } = addHorse(bed.practice)
    const other = addHorse(bed.practice, 'Rush').horse
    const answer = await put(shoeing(other.id, visit.id)).expect(400)
    expect(answer.body.errors[0].message).toContain('another horse')
    expect(bed.practice.footRecords.ofVisit(visit.id)).toEqual([])
  })

  it('is refused where foot, visit and pattern do not belong together', async () => {
    const { horse, visit } = addHorse(bed.practice)
    const sent = shoeing(horse.id, visit.id)
    const other = { ...sent, pattern: { ...sent.pattern, side: 'RF', foot: { ...FOOT, side: 'RF' } } }
    const answer = await put(other).expect(400)
    expect(answer.body.errors[0]).toMatchObject({ path: 'pattern.side' })
  })
})

describe('a pattern', () => {
  it('never goes to another foot or another horse', async () => {
    const { horse, visit } = addHorse(bed.practice)
    const { pattern } = shoeing(horse.id, visit.id)
    const made = (await api().put(`/api/patterns/${pattern.id}`).send(pattern).expect(200)).body
    const { result: _result, ...kept } = made
    const moved = { ...kept, side: 'RF', foot: { ...FOOT, side: 'RF' } }
    const answer = await api().put(`/api/patterns/${pattern.id}`).send(moved).expect(400)
    expect(answer.body.errors[0].message).toContain('stays with its foot')
    const elsewhere = { ...kept, horseId: addHorse(bed.practice, 'Rush').horse.id }
    await api().put(`/api/patterns/${pattern.id}`).send(elsewhere).expect(400)
    expect(bed.practice.patterns.get(pattern.id)).toMatchObject({ side: 'LF', horseId: horse.id, version: 1 })
  })
})

describe('a visit', () => {
  const round = async (date: string) => (await api().get('/api/round').query({ date }).expect(200)).body

  it('says when the horse is due, apart from its cycle', async () => {
    const { horse, visit } = addHorse(bed.practice)
    expect((await api().get('/api/horses')).body[0].due).toBe('2026-11-12')
    await api()
      .put(`/api/visits/${visit.id}`)
      .send({ ...visit, nextDue: '2026-10-20' })
      .expect(200)
    expect((await api().get('/api/horses')).body[0].due).toBe('2026-10-20')
    expect((await round('2026-10-18')).due.map((one: { id: string }) => one.id)).toEqual([horse.id])
    expect((await round('2026-10-25')).overdue.map((one: { id: string }) => one.id)).toEqual([horse.id])
  })

  it('tells what was done to each foot, and where work stopped', async () => {
    const { horse, visit } = addHorse(bed.practice)
    await put(shoeing(horse.id, visit.id)).expect(200)
    const feet = { RF: { work: 'reset' }, LH: { work: 'bare' }, RH: { paused: 'two nails in' } }
    await api()
      .put(`/api/visits/${visit.id}`)
      .send({ ...visit, feet })
      .expect(200)
    const [seen] = (await round(visit.date)).seen
    expect(seen.done).toEqual({ LF: 'shod', RF: 'reset', LH: 'bare' })
    expect(seen.paused).toEqual(['RH'])
  })

  it('gives its note to the next one', async () => {
    const { visit } = addHorse(bed.practice)
    await api()
      .put(`/api/visits/${visit.id}`)
      .send({ ...visit, notes: 'Look at the inner quarter' })
      .expect(200)
    const next = { ...visit, id: randomUUID(), version: 0, date: '2026-11-10', state: 'open' }
    await api().put(`/api/visits/${next.id}`).send(next).expect(200)
    const page = (await api().get(`/api/visits/${next.id}/page`).expect(200)).body
    expect(page.lastVisit).toMatchObject({ date: '2026-10-01', notes: 'Look at the inner quarter' })
  })

  it.each(['12026-11-23', '1926-11-23', '2026-13-01', '23.11.2026'])(
    'is refused on the day %s',
    async (date) => {
      const { visit } = addHorse(bed.practice)
      const answer = await api()
        .put(`/api/visits/${visit.id}`)
        .send({ ...visit, date })
        .expect(400)
      expect(answer.body.errors[0]).toMatchObject({ path: 'date', message: expect.stringMatching(/^A day /) })
    },
  )
})

describe('patterns of all horses', () => {
  const names = async (query: Record<string, unknown>) =>
    ((await api().get('/api/patterns').query(query).expect(200)).body as { pattern: { name: string } }[]).map(
      ({ pattern }) => pattern.name,
    )

  it('are found by what a modification is called, by kind, by bar, and for the nearest foot first', async () => {
    const { horse, visit } = addHorse(bed.practice)
    const keep = async (name: string, shoe: object, width: number = FOOT.width) => {
      const { pattern } = shoeing(horse.id, visit.id)
      const foot = { ...FOOT, width }
      await api()
        .put(`/api/patterns/${pattern.id}`)
        .send({ ...pattern, name, foot, shoe: { ...SHOE, ...shoe } })
        .expect(200)
    }
    await keep('Soft ground', { modifications: [{ kind: 'pad' }] })
    await keep('Road', { modifications: [{ kind: 'heart-bar' }] }, FOOT.width + 10)
    await keep('Light', { section: { shape: 'flat', width: 15.875, thickness: 6.35, material: 'steel' } })
    // “Pad and packing” on the screen, `pad` in the shoe.
    expect(await names({ search: 'packing' })).toEqual(['Soft ground'])
    expect(await names({ search: 'heart bar' })).toEqual(['Road'])
    expect(await names({ search: '50%' })).toEqual([])
    expect(await names({ modification: 'pad' })).toEqual(['Soft ground'])
    expect(await names({ barWidth: 15.875, barThickness: 6.35 })).toEqual(['Light'])
    expect((await names({ width: FOOT.width + 9 }))[0]).toBe('Road')
  })
})
