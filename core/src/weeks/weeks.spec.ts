import jstat from 'jstat'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { beginCourse } from '../courses/course'
import type { Look, OldShoe } from '../records/look'
import { newLook } from '../look/new-look'
import type { StoredPattern } from '../records/answers'
import { planShoe } from '../plan/plan'
import { snapshotOf } from '../plan/snapshot'
import { addDays, daysBetween } from '../terms/days'
import { FIVE_BY_FIVE } from '../testing/samples'
import { inMm, shoeWith, type Given } from '../testing/made'
import { ALLOWED_DRIFT, proposedCycle } from './cycle'
import { driftOf, growthOf } from './drift'
import { forecast, type ForecastOf } from './forecast'
import { holdingOf } from './holding'
import { intervalsOf, leastLeft, type Interval } from './intervals'
import { newThickness } from './new-thickness'
import { rateOf } from './rate'
import { canBeReset, throughOn, wearOf } from './wear'

/** Plain numbers from 0 to 1, the same every time. */
function dice(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 2 ** 32
    return (state + 0.5) / 2 ** 32
  }
}
/** A number scattered about a mean as most things are. */
const scattered = (roll: () => number, mean: number, deviation: number): number =>
  mean + deviation * jstat.normal.inv(roll(), 0, 1)

const worn = (weeks: number, more: Partial<Interval> = {}): Interval => ({
  ...{ from: '2026-01-01', to: addDays('2026-01-01', weeks * 7), weeks, design: 'General 3/4 x 5/16' },
  ...{ reset: false, hardFaced: false, material: 'steel', lost: false, loose: false },
  ...more,
})
/** A shoe of which so much was lost, mm. */
const lostBy = (by: number, weeks: number, more: Partial<Interval> = {}): Interval =>
  worn(weeks, { worn: by, ...more })
const PLAIN = { hardFaced: false, material: 'steel' } as const
/** What readings are off, one standard deviation of two together, mm. */
const READ = { wear: 0.5, toe: 1 }
/** Changes over weeks of the same length. */
const over = (weeks: number, rates: readonly number[]) => rates.map((rate) => ({ by: rate * weeks, weeks }))

describe('a rate', () => {
  it('of weeks alike, read without error, has the mean and the prediction interval of a statistics library', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 2, noNaN: true }), { minLength: 2, maxLength: 20 }),
        (rates) => {
          const { perWeek, low, high } = rateOf(over(7, rates), 0)!
          const mean = jstat.mean(rates)
          const deviation = jstat.stdev(rates, true)
          const half =
            jstat.studentt.inv(0.95, rates.length - 1) * deviation * Math.sqrt(1 + 1 / rates.length)
          expect(perWeek).toBeCloseTo(mean, 9)
          expect(Math.abs(low! - (mean - half))).toBeLessThan(1e-3 * Math.max(1, half))
          expect(Math.abs(high! - (mean + half))).toBeLessThan(1e-3 * Math.max(1, half))
        },
      ),
    )
  })

  it('from one alone has no spread, from none is none', () => {
    expect(rateOf(over(7, [0.3]), 0.5)).toEqual({ count: 1, perWeek: 0.3 })
    expect(rateOf([], 0.5)).toBeUndefined()
  })

  it('of two readings alike is no surer than a reading is', () => {
    const { low, high } = rateOf(over(7, [0.3, 0.3]), 0.5)!
    // Half a millimetre over seven weeks, off in two that are known and in the next; known better than from two.
    expect(high! - low!).toBeCloseTo(2 * jstat.studentt.inv(0.95, 4) * (0.5 / 7) * Math.sqrt(1.5), 3)
  })

  it('hardly changes by a visit a day later, nor by one after three weeks that was read as well as any', () => {
    const cycles = over(7, [0.206, 0.21, 0.2])
    const plain = rateOf(cycles, READ.wear)!
    expect(rateOf([...cycles, { by: 0.54, weeks: 1 / 7 }], READ.wear)).toEqual(plain)
    const short = rateOf([...cycles, { by: 0.54 + 0.6, weeks: 3 }], READ.wear)!
    expect(short.perWeek - plain.perWeek).toBeLessThan(0.03)
    expect(short.perWeek).toBeGreaterThan(plain.perWeek)
  })

  it.each([
    ['cycles alike', () => 7],
    ['cycles of three to ten weeks', (roll: () => number) => 3 + 7 * roll()],
  ] as const)(
    'covers what it claims: nine in ten of the next readings of 2,000 horses lie within it, %s',
    (_, weeksOf) => {
      for (const between of [0, 0.04, 0.1]) {
        const roll = dice(7)
        let within = 0
        for (let horse = 0; horse < 2_000; horse++) {
          const rate = 0.2 + 0.5 * roll()
          const shoe = (weeks: number) => ({
            by: scattered(roll, rate, between) * weeks + scattered(roll, 0, READ.wear),
            weeks,
          })
          const known = Array.from({ length: 2 + Math.floor(roll() * 8) }, () => shoe(weeksOf(roll)))
          const { low, high } = rateOf(known, READ.wear)!
          const next = shoe(known.reduce((sum, { weeks }) => sum + weeks, 0) / known.length)
          const came = next.by / next.weeks
          if (came >= low! && came <= high!) within += 1
        }
        expect([between, within / 2_000 > 0.87, within / 2_000 < 0.97]).toEqual([between, true, true])
      }
    },
  )
})

describe('wear', () => {
  const own = (count: number, perWeek = 0.4) => Array.from({ length: count }, () => lostBy(perWeek * 6, 6))

  it('rests on others of the same going until a horse has three of its own', () => {
    const others = own(6, 0.8)
    expect(wearOf(own(2), others, PLAIN)).toMatchObject({ pooled: true, rate: { count: 8 } })
    const mine = wearOf(own(3), others, PLAIN)!
    expect(mine.pooled).toBe(false)
    expect(mine.rate.perWeek).toBeCloseTo(0.4, 9)
    expect(wearOf([], [], PLAIN)).toBeUndefined()
    // A shoe that was lost, or not read, says nothing; hard-faced ones are told apart.
    expect(wearOf([lostBy(3, 6, { lost: true }), worn(6)], [], PLAIN)).toBeUndefined()
    expect(wearOf(own(3), [], { ...PLAIN, hardFaced: true })).toBeUndefined()
    // Aluminium is gone in half the time: neither says anything of the other.
    expect(wearOf(own(3), [], { ...PLAIN, material: 'aluminium' })).toBeUndefined()
    const soft = Array.from({ length: 3 }, () => lostBy(4.8, 6, { material: 'aluminium' }))
    expect(wearOf([...own(3), ...soft], [], PLAIN)!.rate.perWeek).toBeCloseTo(0.4, 9)
  })

  it('is through when a third is left, by hand; earlier and later by its interval', () => {
    const wear = { pooled: false, rate: { count: 4, perWeek: 0.5, low: 0.4, high: 0.625 } }
    // 9 mm down to 3 mm at half a millimetre a week: twelve weeks.
    const through = throughOn(wear, 9, '2026-03-02')!
    expect(through.weeks).toBeCloseTo(12, 9)
    expect(through.date).toBe('2026-05-25')
    expect(daysBetween('2026-03-02', through.early!)).toBe(Math.floor((6 / 0.625) * 7))
    expect(daysBetween('2026-03-02', through.late!)).toBe(15 * 7)
    expect(throughOn({ ...wear, rate: { count: 3, perWeek: 0 } }, 9, '2026-03-02')).toBeUndefined()
  })

  it('can be reset only where what is left lasts another cycle, worn as fast as it may', () => {
    const wear = { pooled: false, rate: { count: 4, perWeek: 0.3, low: 0.2, high: 0.4 } }
    expect(canBeReset(wear, 6, 9, 7)).toBe(true)
    expect(canBeReset(wear, 5.7, 9, 7)).toBe(false)
  })
})

describe('growth and drift', () => {
  it('go forward along the slope of the wall: growth x cos(toe angle)', () => {
    const growth = growthOf([worn(6, { toeLeft: 80, toeFound: 89 }), worn(8, { toeLeft: 80, toeFound: 92 })])!
    // Nine in six weeks and twelve in eight are the same.
    expect(growth.perWeek).toBeCloseTo(1.5, 9)
    expect(driftOf(growth, 60).perWeek).toBeCloseTo(0.75, 9)
    expect(driftOf(growth, 50).low).toBeCloseTo(growth.low! * Math.cos((50 * Math.PI) / 180), 9)
    expect(growthOf([worn(6, { toeLeft: 80 })])).toBeUndefined()
  })

  it('cover what they claim on 1,000 simulated horses', () => {
    const roll = dice(99)
    let within = 0
    for (let horse = 0; horse < 1_000; horse++) {
      const rate = 1 + roll()
      const next = () => scattered(roll, rate, 0.15)
      const cycles = Array.from({ length: 2 + Math.floor(roll() * 8) }, () =>
        worn(7, { toeLeft: 80, toeFound: 80 + next() * 7 }),
      )
      const { low, high } = growthOf(cycles)!
      const came = next()
      if (came >= low! && came <= high!) within += 1
    }
    expect(within / 1_000).toBeGreaterThan(0.85)
    expect(within / 1_000).toBeLessThan(0.97)
  })
})

describe('the cycle that is proposed', () => {
  const asked = { from: '2026-03-02', own: 8 }

  it('is the first of all that ends it, with its reason', () => {
    expect(proposedCycle(asked)).toMatchObject({ weeks: 8, date: '2026-04-27', limit: 'own' })
    const drift = { perWeek: 1.27, aheadAtStart: 0 }
    const early = proposedCycle({ ...asked, drift })
    expect(early.limit).toBe('drift')
    expect(early.weeks).toBeCloseTo(ALLOWED_DRIFT / 1.27, 9)
    expect(inMm(early.reason)).toContain('5.1 mm forward over four weeks')
    // Ahead of its school from the start it may move less.
    expect(proposedCycle({ ...asked, drift: { ...drift, aheadAtStart: 3.81 } }).weeks).toBeCloseTo(2, 9)
    expect(proposedCycle({ ...asked, drift, wear: { weeks: 4 } }).limit).toBe('wear')
    const course = { label: 'Cross bar 2', weeks: 9 / 7 }
    expect(proposedCycle({ ...asked, drift, course })).toMatchObject({ limit: 'course', date: '2026-03-11' })
  })

  it('lies between one and sixteen weeks, all that was weighed in order', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 6, noNaN: true }),
        fc.double({ min: -5, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (perWeek, aheadAtStart, weeks) => {
          const { limits, ...cycle } = proposedCycle({
            ...asked,
            drift: { perWeek, aheadAtStart },
            wear: { weeks },
          })
          expect(cycle.weeks).toBeGreaterThanOrEqual(1)
          expect(cycle.weeks).toBeLessThanOrEqual(16)
          expect(limits.map((one) => one.weeks)).toEqual(limits.map((one) => one.weeks).sort((a, b) => a - b))
          expect(daysBetween(asked.from, cycle.date)).toBe(Math.floor(cycle.weeks * 7))
        },
      ),
    )
  })
})

describe('how shoes hold', () => {
  it('is told by design, those pulled off most first, with the likely reasons', () => {
    const wide = { design: 'Slide' }
    const told = holdingOf([
      worn(6),
      worn(6, { loose: true }),
      worn(6),
      worn(6, { ...wide, lost: true, reason: 'stepped off' }),
      worn(6, { ...wide, lost: true, loose: true, reason: 'stepped off' }),
      worn(6, { ...wide, loose: true, reason: 'nails worn or broken' }),
    ])
    expect(told[0]).toEqual({
      ...{ design: 'Slide', worn: 3, lost: 2, loose: 1 },
      reasons: [
        { reason: 'stepped off', count: 2 },
        { reason: 'nails worn or broken', count: 1 },
      ],
    })
    expect(told[1]).toMatchObject({ worn: 3, lost: 0, loose: 1 })
  })
})

/** A horse with visits seven weeks apart, its left fore read each time. */
function history(count: number, modifications: Given = []): ForecastOf {
  const visits = Array.from({ length: count }, (_, i) => ({
    ...{ id: `visit-${i}`, version: 1, horseId: 'horse', date: addDays('2026-01-05', i * 49) },
    ...{ state: 'done' as const, notes: '', nextDue: null, feet: {}, closeList: {}, archived: false },
  }))
  const foot = { ...FIVE_BY_FIVE, dorsalLength: 82 }
  const shoe = shoeWith(modifications)
  const pattern: StoredPattern = {
    ...{ id: 'pattern', version: 1, horseId: 'horse', side: 'LF', name: 'Plain', visitId: null },
    ...{ foot, shoe, workshop: {}, notes: '', archived: false, updatedAt: '2026-01-05T12:00:00.000Z' },
    result: snapshotOf(planShoe(foot, shoe)),
  }
  return {
    visits,
    footRecords: visits.map(({ id }, i) => ({
      ...{ id: `foot-${i}`, version: 1, visitId: id, side: 'LF' as const, notes: '', patternId: 'pattern' },
      foot: { ...foot, width: 127 + i * 0.5 },
    })),
    looks: visits.map(({ id }, i): Look => {
      const look = newLook(`look-${i}`, id)
      const oldShoe = { leftToe: 5 - 0.1 * (i % 2), leftQuarters: 6.5 }
      const untrimmed = { dorsalLength: 92 + (i % 3) * 0.2 }
      return { ...look, feet: { ...look.feet, LF: { ...look.feet.LF, oldShoe, untrimmed } } }
    }),
    patterns: [pattern],
    ...{ horse: { cycleWeeks: 8 }, courses: [], others: [] },
  }
}

describe('the times a shoe was worn', () => {
  it('run from visit to visit, each with the thinnest place found at the next', () => {
    const read = intervalsOf(history(4), 'LF')
    expect(read).toHaveLength(3)
    expect(read[0]).toMatchObject({ from: '2026-01-05', to: '2026-02-23', weeks: 7, left: 4.9, toeLeft: 82 })
    expect(read[0]!.thickness).toBeCloseTo(7.9375, 6)
    expect(leastLeft({})).toBeUndefined()
    expect(intervalsOf(history(4), 'RF')).toEqual([])
    expect(intervalsOf(history(4, [{ kind: 'hard-facing' }]), 'LF')[0]!.hardFaced).toBe(true)
  })

  it('a shoe put on again begins with what was left of it; a bare foot wears nothing', () => {
    const of = history(4)
    const done = (work: 'reset' | 'bare') =>
      of.visits.map((visit, i) => (i === 1 ? { ...visit, feet: { LF: { work } } } : visit))
    const reset = intervalsOf({ ...of, visits: done('reset') }, 'LF')
    expect(reset[1]).toMatchObject({ reset: true, thickness: 4.9 })
    expect(intervalsOf({ ...of, visits: done('bare') }, 'LF')).toHaveLength(2)
  })

  it('compares each place with what it was when it was new: heels of a forged wedge, a toe drawn thin', () => {
    const with_ = (modifications: Given, oldShoe: OldShoe) => {
      const of = history(2, modifications)
      return intervalsOf(
        {
          ...of,
          looks: of.looks.map((look) => ({
            ...look,
            feet: { ...look.feet, LF: { ...look.feet.LF, oldShoe } },
          })),
        },
        'LF',
      )[0]!.worn!
    }
    const bar = 7.9375
    const wedge: Given = [{ kind: 'wedge', rise: 6, made: 'forged from the bar' }]
    // Read at the heels only: they were nearly six millimetres higher than the bar.
    expect(with_(wedge, { leftOuterHeel: bar + 4, leftInnerHeel: bar + 4.2 })).toBeGreaterThan(1)
    expect(with_(wedge, { leftOuterHeel: bar + 4 })).toBeLessThan(2.2)
    const slide: Given = [{ kind: 'slide-shoe' }]
    const toe = newThickness({ foot: FIVE_BY_FIVE, shoe: shoeWith(slide), workshop: {} }).toe
    expect(toe).toBeLessThan(bar - 0.5)
    expect(with_(slide, { leftToe: toe - 1 })).toBeCloseTo(1, 6)
    expect(with_([], { leftToe: bar - 1, leftQuarters: bar - 1.5 })).toBeCloseTo(1.5, 6)
  })
})

describe('a forecast', () => {
  it('tells likely measures, drift and wear with their intervals, and the cycle with its reason', () => {
    const told = forecast(history(6), '2026-10-19')
    expect(told.from).toBe('2026-09-07')
    const [foot] = told.feet
    const width = foot!.measures.find(({ key }) => key === 'width')!
    expect(width.value).toBeCloseTo(127 + 0.5 * (5 + 6 / 7), 6)
    expect(width.low).toBeLessThanOrEqual(width.value)
    // Ten millimetres of toe in seven weeks.
    expect(foot!.growth!.perWeek).toBeCloseTo(10.2 / 7, 1)
    expect(foot!.drift!.mm).toBeCloseTo(foot!.growth!.perWeek * Math.cos((52 * Math.PI) / 180) * 6, 6)
    expect(foot!.wear).toMatchObject({ pooled: false, hardFaced: false })
    expect(foot!.wear!.rate.perWeek).toBeCloseTo((7.9375 - 4.95) / 7, 1)
    expect(foot!.wear!.through!.early! <= foot!.wear!.through!.date).toBe(true)
    expect(told.cycle!.limits.map(({ key }) => key)).toEqual(expect.arrayContaining(['own', 'drift', 'wear']))
    expect(told.cycle!.weeks).toBeLessThan(8)
    expect(told.holding[0]).toMatchObject({ worn: 5, lost: 0 })
  })

  it('a shoe that was put on again is through sooner: it begins with what was left of it', () => {
    const of = history(6)
    const through = (given: ForecastOf) => forecast(given, '2026-10-19').feet[0]!.wear!.through
    const again = {
      ...of,
      visits: of.visits.map((visit, i) =>
        i === 5 ? { ...visit, feet: { LF: { work: 'reset' as const } } } : visit,
      ),
    }
    // Of the new bar two thirds may go; of the one put on again only what stands above a third of the bar.
    const bar = 7.9375
    const [fresh, reset] = [through(of)!, through(again)!]
    expect(reset.weeks / fresh.weeks).toBeCloseTo((4.9 - bar / 3) / ((bar * 2) / 3), 6)
    const unread = { ...again, looks: again.looks.slice(0, 5) }
    expect(through(unread)).toBeUndefined()
  })

  it('before the first visit proposes nothing, and a course that asks sooner comes first', () => {
    expect(forecast(history(0), '2026-10-19')).toEqual({ date: '2026-10-19', feet: [], holding: [] })
    const of = history(3)
    let made = 0
    const course = beginCourse(
      { id: 'course', horseId: 'horse', side: 'LF', kind: 'expander', startedOn: '2026-04-13' },
      () => `step-${++made}`,
    )
    const told = forecast({ ...of, courses: [course] }, '2026-06-01')
    expect(told.cycle).toMatchObject({ limit: 'course', date: '2026-04-22' })
  })
})
