import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import { planShoe } from '../plan/plan'
import type { DatedTry } from '../records/try'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { inMm } from '../testing/made'
import { CONTACT_MARKS } from '../terms/trying'
import { branchLines } from './branch-lines'
import { centrelineOf } from './centreline'
import { CONTACT_PLACES, contactWords, nextMark } from './contact'
import { correctionsOf } from './corrections'
import { fitChecks } from './fit-checks'
import { levelWords } from './level'
import { triesOverTime } from './over-time'
import { centrelineOfPlan } from './place-words'
import { readPoints } from './read-points'

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

describe('what a hot shoe leaves', () => {
  it('goes round the marks at each tap and back to nothing', () => {
    const seen = [0, 1, 2, 3, 4].reduce<(string | undefined)[]>(
      (all) => [...all, nextMark(all.at(-1) as never)],
      [undefined],
    )
    expect(seen).toEqual([undefined, ...CONTACT_MARKS, undefined])
  })

  it('is told with what to do, the gravest first, and nothing of what is even', () => {
    const words = contactWords({
      'lateral heel': 'gap',
      'medial quarter': 'sole pressure',
      'lateral toe': 'chipped wall',
      'medial toe': 'even',
    })
    expect(words.map((one) => one.split(':')[0])).toEqual(['Inner quarter', 'Outer heel', 'Outer toe'])
    expect(words[0]).toMatch(/seat the web out/)
    expect(words[2]).toMatch(/no nail/)
    const even = Object.fromEntries(CONTACT_PLACES.map(({ key }) => [key, 'even' as const]))
    expect(contactWords(even)[0]).toMatch(/flat shoe on a flat foot/)
    expect(contactWords({})).toEqual([])
  })

  it('is looked at from heel to heel', () => {
    expect(CONTACT_PLACES.map(({ label }) => label)).toEqual([
      ...['outer heel', 'outer quarter', 'outer toe quarter', 'outer toe'],
      ...['inner toe', 'inner toe quarter', 'inner quarter', 'inner heel'],
    ])
  })
})

describe('a shoe sighted for level', () => {
  it('has its twist told before its cup, and where to strike', () => {
    expect(levelWords(undefined, undefined)).toEqual([])
    const [twist, cup] = levelWords('outer heel up', 'rocks on its quarters')
    expect(twist).toMatch(/outer branch .*strike it down/)
    expect(cup).toMatch(/strike the toe/)
  })
})

describe('the lines of the branches carried back', () => {
  /** Two straight branches whose ends close by a slope. */
  const closing = (slope: number) => {
    const branch = (sign: 1 | -1) =>
      Array.from({ length: 12 }, (_, i) => [sign * (50 - slope * 5 * i), -5 * i] as const)
    return centrelineOf([...branch(1).reverse(), [0, 40], ...branch(-1)])
  }

  it('meet where two straight lines meet', () => {
    // Ends at x = 50 - 55 slope, y = -55; with a slope of a half they meet at y = -100.
    const found = branchLines(closing(0.5), -70)
    expect(found.meetAt).toBeCloseTo(-100, 6)
    expect(found.right).toBe(true)
    expect(inMm(found.words)).toMatch(/meet 30(\.0)? mm behind/)
    const closed = branchLines(closing(0.5), -120)
    expect(closed.right).toBe(false)
    expect(inMm(closed.words)).toMatch(/20(\.0)? mm before.*Open both heels/)
  })

  it('may run side by side or apart', () => {
    expect(branchLines(closing(0), -70).meetAt).toBeUndefined()
    expect(branchLines(closing(-0.3), -70)).toMatchObject({ right: true })
  })

  it('lie right for a shoe in general fit', () => {
    const plan = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
    expect(branchLines(centrelineOfPlan(plan), plan.landmarks.bulbY).right).toBe(true)
  })
})

describe('what is only seen of a shoe on the foot', () => {
  const FOOT = { length: 130, bulbLine: 22 }

  it('is right or not, with what to do; unsaid it is not told', () => {
    expect(fitChecks({}, FOOT)).toEqual([])
    const found = fitChecks({ safed: true, clipsFlush: false, nothingPast: false }, FOOT)
    expect(found.map(({ key, right }) => [key, right])).toEqual([
      ['safed', true],
      ['clipsFlush', false],
      ['nothingPast', false],
    ])
    expect(found[1]!.words).toMatch(/never hammer/)
  })
})

describe('a list of points', () => {
  it('is read in the unit it is written in, whatever tells its figures apart', () => {
    expect(readPoints('10 20\n-3,4.5\n\n1;2', 'mm')).toEqual({
      points: [
        [10, 20],
        [-3, 4.5],
        [1, 2],
      ],
    })
    const inches = readPoints('1 1/2; -3/4', 'in')
    expect('points' in inches && inches.points[0]!.map((mm) => Math.round(mm * 100) / 100)).toEqual([
      38.1, -19.05,
    ])
  })

  it('names the first line that is no point', () => {
    expect(readPoints('1 2\n3 4 5', 'mm')).toMatchObject({ wrong: expect.stringMatching(/^Line 2, 3 4 5/) })
    expect(readPoints('a b', 'mm')).toHaveProperty('wrong')
    expect(readPoints('', 'mm')).toEqual({ points: [] })
  })
})
