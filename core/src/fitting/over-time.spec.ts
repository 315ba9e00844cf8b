import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import type { DatedTry } from '../records/try'
import { centrelineOf } from './centreline'
import { correctionsOf } from './corrections'
import { triesOverTime } from './over-time'

let stamp = 0
const tried = (more: Partial<DatedTry>): DatedTry => ({
  ...{
    id: crypto.randomUUID(),
    version: 1,
    createdAt: `2026-11-01T10:00:${String(stamp++).padStart(2, '0')}.000Z`,
  },
  ...{ visitId: 'a', side: 'LF', shoe: '', handmade: true, walks: 1, heats: 0, minutes: null, fits: false },
  ...{ before: null, corrections: [], contacts: {}, date: '2026-11-02', horse: 'Thistle' },
  ...more,
})
const bend = (heelMoves: number, more = {}) => ({
  ...{ branch: 'lateral' as const, at: 'heel' as const, angle: heelMoves / 2, heelMoves },
  ...more,
})

describe('what tried-on shoes come to', () => {
  it('counts what comes back, the most frequent first, with its usual angle', () => {
    const { kinds } = triesOverTime([
      tried({ corrections: [bend(4), bend(-6, { branch: 'medial', at: 'quarter' })] }),
      tried({ corrections: [bend(8)] }),
      tried({ corrections: [bend(-2)] }),
    ])
    expect(kinds).toEqual([
      { branch: 'lateral', at: 'heel', opens: true, count: 2, usual: 3 },
      { branch: 'lateral', at: 'heel', opens: false, count: 1, usual: 1 },
      { branch: 'medial', at: 'quarter', opens: false, count: 1, usual: 3 },
    ])
  })

  it('reads the error of first shapes from the first try of each shoe, by branch', () => {
    const off = [3, 5, -1, 6]
    const tries = off.map((by, i) => tried({ visitId: `v${i}`, corrections: [bend(by - 1), bend(1)] }))
    // A second try of the same shoe is no first shape; the order is that of the log, whatever order they come in.
    const all = [tried({ visitId: 'v0', corrections: [bend(40)] }), ...tries].reverse()
    const { first, shoes } = triesOverTime(all)
    expect(shoes).toBe(4)
    expect(first.lateral.mean).toBeCloseTo(jstat.mean(off), 9)
    // Of 3, 5, -1 and 6 by hand: deviations -0.25, 1.75, -4.25 and 2.75 from their middle, 3.25.
    expect(first.lateral.spread).toBeCloseTo(Math.sqrt((0.0625 + 3.0625 + 18.0625 + 7.5625) / 3), 9)
    expect(first.medial).toEqual({ shoes: 4, mean: 0, spread: 0 })
  })

  it('adds up what a shoe took, and tells the middle shoe of a month', () => {
    const { months } = triesOverTime([
      tried({ date: '2026-10-05', visitId: 'x', minutes: 30 }),
      tried({ visitId: 'a', side: 'LF', minutes: 10, walks: 2 }),
      tried({ visitId: 'a', side: 'LF', minutes: 5, walks: 1 }),
      tried({ visitId: 'a', side: 'RF', minutes: 9 }),
      tried({ visitId: 'b', side: 'LF', minutes: 40 }),
      tried({ visitId: 'b', side: 'RF' }),
    ])
    expect(months).toEqual([
      { month: '2026-10', shoes: 1, walks: 1, minutes: 30 },
      { month: '2026-11', shoes: 4, walks: (3 + 1 + 1 + 1) / 4, minutes: 15 },
    ])
    expect(triesOverTime([])).toMatchObject({ tries: 0, shoes: 0, kinds: [], months: [] })
    expect(triesOverTime([tried({})]).first.lateral.spread).toBeUndefined()
  })

  it('names each bend by the part of its branch', () => {
    const pattern = centrelineOf(Array.from({ length: 21 }, (_, i) => [i * 10, 0] as const))
    const at = (fromToe: number) =>
      correctionsOf([{ branch: 'medial', fromToe, angle: 3, heelMoves: 5 }], pattern)[0]!.at
    expect([5, 30, 60, 90].map(at)).toEqual(['toe', 'toe quarter', 'quarter', 'heel'])
  })
})
