import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { planShoe, type Side } from '@crescent/core'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { saveShoeing } from '../visits/shoeing'
import type { IronOfDay } from './iron'

let bed: Bed
beforeEach(() => {
  bed = makeBed()
})
afterEach(() => bed.remove())

function shod(horseId: string, visitId: string, side: Side, shoe: object = SHOE): void {
  const foot = { ...FOOT, side }
  const pattern = {
    ...{ id: randomUUID(), version: 0, horseId, side, name: 'Set', visitId },
    ...{ foot, workshop: {}, notes: '', archived: false, shoe: shoe as never },
  }
  const record = { id: randomUUID(), version: 0, visitId, side, foot, patternId: pattern.id, notes: '' }
  saveShoeing(bed.practice, { pattern, record })
}
const ask = async (query: string) =>
  (await request(bed.app).get(`/api/round/iron?${query}`).expect(200)).body as IronOfDay

describe('iron for the day', () => {
  it('adds up what the shoes of the day are cut from, bar by bar', async () => {
    const { horse, visit } = addHorse(bed.practice, 'Tansy')
    bed.practice.visits.put({ ...visit, state: 'open' })
    shod(horse.id, visit.id, 'LF')
    shod(horse.id, visit.id, 'RF', { ...SHOE, modifications: [{ kind: 'heart-bar' }] })
    const { bars, parts, sizes } = await ask('date=2026-10-01')
    const cuts = [[], [{ kind: 'heart-bar' }]].map(
      (modifications) => planShoe(FOOT, { ...SHOE, modifications }).iron.cutLength,
    )
    expect(bars.length).toBe(1)
    expect(bars[0]!.pieces.map(({ horse: name, side }) => `${name} ${side}`)).toEqual([
      'Tansy LF',
      'Tansy RF',
    ])
    expect(bars[0]!.total).toBeCloseTo(cuts[0]! + cuts[1]!, 6)
    expect(parts.flatMap(({ pieces }) => pieces.map(({ what }) => what)).sort()).toEqual([
      'Bar of the heart bar',
      'Frog plate',
    ])
    expect(sizes).toEqual([])
    // What is finished is made and on.
    const open = bed.practice.visits.get(visit.id)!
    bed.practice.visits.put({ ...open, state: 'done' })
    expect(await ask('date=2026-10-01')).toMatchObject({ bars: [], parts: [], unplanned: [] })
  })

  it('takes in who is due by then when asked, with what they wear now, and names who has no pattern', async () => {
    const { horse, visit } = addHorse(bed.practice, 'Tansy')
    shod(horse.id, visit.id, 'LF')
    addHorse(bed.practice, 'Newcomer')
    expect((await ask('date=2026-11-12')).bars).toEqual([])
    const { bars, unplanned } = await ask('date=2026-11-12&due=true')
    expect(bars[0]!.pieces.length).toBe(1)
    expect(unplanned.map(({ name }) => name)).toEqual(['Newcomer'])
    await request(bed.app).get('/api/round/iron?date=soon').expect(400)
  })
})
