import { describe, expect, it } from 'vitest'
import type { HorseSummary, Round } from '@crescent/core'
import { nextOfDay } from './next-of-day'

const horse = (id: string, place: string, due: string | null): HorseSummary =>
  ({ id, name: id, place, due }) as HorseSummary
const round = (more: Partial<Round>): Round => ({ seen: [], overdue: [], due: [], ...more }) as Round
const done = { id: 'Done', place: 'Wick' }
const DAY = '2026-12-01'
const names = (given: Partial<Round>) => nextOfDay(round(given), done, DAY)?.horse.id

describe('the next horse', () => {
  it('is one whose visit is open already', () => {
    const open = { ...horse('Open', 'Far', null), visitId: 'v', visitState: 'open' } as Round['seen'][number]
    const given = { seen: [open], overdue: [horse('Late', 'Wick', '2026-11-20')] }
    expect(nextOfDay(round(given), done, DAY)).toEqual({ horse: open, visitId: 'v' })
  })

  it('is one that stands at the same place before one that is due longer', () => {
    const overdue = [horse('Late', 'Far', '2026-11-01'), horse('Here', 'Wick', '2026-11-20')]
    expect(names({ overdue })).toBe('Here')
    expect(names({ overdue: overdue.slice(0, 1) })).toBe('Late')
    // Places nobody has said are not the same place.
    const nowhere = [horse('Late', 'Far', '2026-11-01'), horse('Nowhere', '', '2026-11-20')]
    expect(nextOfDay(round({ overdue: nowhere }), { id: 'Done', place: '' }, DAY)?.horse.id).toBe('Late')
  })

  it('is nobody who is done today, comes later or is the one that is done', () => {
    const seen = [
      { ...horse('Seen', 'Wick', DAY), visitId: 'v', visitState: 'done' } as Round['seen'][number],
    ]
    const due = [horse('Seen', 'Wick', DAY), horse('Done', 'Wick', DAY), horse('Later', 'Wick', '2026-12-03')]
    expect(names({ seen, due })).toBeUndefined()
    expect(names({ seen, due: [...due, horse('Today', 'Wick', DAY)] })).toBe('Today')
  })
})
