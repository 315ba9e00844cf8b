import { randomUUID } from 'node:crypto'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { Visit } from '@crescent/core'
import { addHorse, makeBed, type Bed } from '../../testing'
import { erase } from '../erasing/erase'
import { joinHorses } from '../joining/join'

let bed: Bed
beforeEach(() => (bed = makeBed()))
afterEach(() => bed.remove())

/** What is kept of a horse, after a look whether all that is kept is what the visits say. */
function kept(id: string): { lastVisit: string | null; due: string | null } {
  const { db } = bed.practice
  const astray = db
    .prepare(
      `SELECT h.name FROM horses h JOIN horses_seen s ON s.id = h.id
       WHERE h.last_visit IS NOT s.last_visit OR h.due IS NOT s.due`,
    )
    .all()
  expect(astray).toEqual([])
  return db.prepare('SELECT last_visit AS lastVisit, due FROM horses WHERE id = ?').get(id) as never
}
const visitOf = (horseId: string, date: string, more: Partial<Visit> = {}): Visit =>
  bed.practice.visits.put({
    ...{ id: randomUUID(), version: 0, horseId, date, state: 'done', notes: '', closeList: {}, feet: {} },
    ...{ nextDue: null, archived: false, ...more },
  })

/** A horse that nobody has seen yet. */
function newHorse(name: string) {
  const { horse, visit } = addHorse(bed.practice, name)
  bed.practice.visits.put({ ...visit, archived: true })
  return horse
}

describe('when a horse is due', () => {
  it('follows its visits and its cycle, whoever changes them', async () => {
    const horse = newHorse('Ash')
    const { practice } = bed
    expect(kept(horse.id)).toEqual({ lastVisit: null, due: null })
    const first = visitOf(horse.id, '2026-01-05')
    const cycled = practice.horses.put({ ...practice.horses.get(horse.id)!, cycleWeeks: 6 })
    expect(kept(horse.id)).toEqual({ lastVisit: '2026-01-05', due: '2026-02-16' })
    const second = visitOf(horse.id, '2026-03-01', { nextDue: '2026-03-20' })
    expect(kept(horse.id)).toEqual({ lastVisit: '2026-03-01', due: '2026-03-20' })
    practice.visits.put({ ...second, archived: true })
    expect(kept(horse.id).due).toBe('2026-02-16')
    practice.visits.put({ ...first, date: '2026-01-12' })
    practice.horses.put({ ...cycled, cycleWeeks: 4 })
    expect(kept(horse.id).due).toBe('2026-02-09')
    await erase(practice, 'visit', first.id)
    expect(kept(horse.id)).toEqual({ lastVisit: null, due: null })
  })

  it('is not moved by a visit that is still open', () => {
    const horse = newHorse('Ash')
    visitOf(horse.id, '2026-01-05', { nextDue: '2026-02-10' })
    visitOf(horse.id, '2026-02-11', { state: 'open' })
    expect(kept(horse.id)).toEqual({ lastVisit: '2026-01-05', due: '2026-02-10' })
  })

  it('goes over with the visits where two records become one', () => {
    const [one, other] = [newHorse('Ash'), newHorse('Ashe')]
    visitOf(other.id, '2026-01-05', { nextDue: '2026-02-10' })
    joinHorses(bed.practice, { keptId: one.id, otherId: other.id })
    expect(kept(one.id).due).toBe('2026-02-10')
    expect(kept(other.id).due).toBeNull()
  })
})
