import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Vec } from '../geometry/vector'
import { ProblemError } from '../notices/problem'
import { planShoe } from '../plan/plan'
import { inMm } from '../testing/made'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { bendPlan, TOLERANCE } from './bend-plan'
import { bent, heelMoves, type Bend } from './bend'
import { branchLength, centrelineOf, lineLength, pointAt, stationOf, type Centreline } from './centreline'
import { straightBar } from './first-shaping'
import { likelyShape, measuresOf, shapeByPoints } from './likely-shape'
import { centrelineOfPlan } from './place-words'
import { planBends } from './plan-bends'
import { placesOnPattern, tappedShape } from './tapped-shape'
import { walkedStations } from './walked-stations'

const plan = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
const pattern = centrelineOfPlan(plan)

/** A made-up farrier: bends at places that a hammer can reach. */
const anyBend = fc
  .record({
    branch: fc.constantFrom('lateral' as const, 'medial' as const),
    share: fc.double({ min: 0.06, max: 0.82, noNaN: true }),
    size: fc.double({ min: 1, max: 8, noNaN: true }),
    opens: fc.boolean(),
  })
  .map(({ branch, share, size, opens }): Bend => ({
    branch,
    fromToe: branchLength(pattern, branch) * share,
    angle: opens ? size : -size,
  }))

/** Even numbers between 0 and 1 from a seed (mulberry32): what fast-check draws by itself leans to the ends. */
function* draws(seed: number): Generator<number, never> {
  for (let state = seed; ;) {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    yield ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** A line as a tape finds it: each point off by half a millimetre, as a bell (Box and Muller 1958). */
function measured(line: Centreline, seed: number): Centreline {
  const numbers = draws(seed)
  return shapeByPoints(
    line.points.map(([x, y]): Vec => {
      const far = 0.5 * Math.sqrt(-2 * Math.log(1 - numbers.next().value))
      const way = 2 * Math.PI * numbers.next().value
      return [x + far * Math.cos(way), y + far * Math.sin(way)]
    }),
    pattern,
  )
}

/** Each point is looked for among so many pieces either way. */
const NEAR = 8

/**
 * How far a line lies off the pattern at most, by a plain search of its own: the line is turned and shifted until its
 * points lie as near to the pattern's line as they can, first all together, then with more and more weight on those that
 * are furthest off (Lawson 1961): a shoe is laid on the foot where it fits best.
 */
function furthest(line: Centreline): number {
  const toLine = ([x, y]: Vec, place: number): Vec => {
    const first = Math.max(1, place - NEAR)
    const last = Math.min(pattern.points.length - 1, place + NEAR)
    let best: Vec = pattern.points[0]!
    let least = Infinity
    for (let i = first; i <= last; i++) {
      const [a, b] = [pattern.points[i - 1]!, pattern.points[i]!]
      const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
      const t = Math.min(1, Math.max(0, ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy)))
      const at: Vec = [a[0] + dx * t, a[1] + dy * t]
      const off = Math.hypot(at[0] - x, at[1] - y)
      if (off < least) [least, best] = [off, at]
    }
    return best
  }
  let points = [...line.points]
  let weights = points.map(() => 1)
  let most = Infinity
  for (let step = 0; step < 160; step++) {
    const onto = points.map(toLine)
    const all = weights.reduce((sum, weight) => sum + weight, 0)
    const middle = (of: readonly Vec[]): Vec => [
      of.reduce((sum, [x], i) => sum + weights[i]! * x, 0) / all,
      of.reduce((sum, [, y], i) => sum + weights[i]! * y, 0) / all,
    ]
    const [p, q] = [middle(points), middle(onto)]
    let [sine, cosine] = [0, 0]
    points.forEach(([x, y], i) => {
      const [a, b, c, d] = [x - p[0], y - p[1], onto[i]![0] - q[0], onto[i]![1] - q[1]]
      sine += weights[i]! * (a * d - b * c)
      cosine += weights[i]! * (a * c + b * d)
    })
    const turn = Math.atan2(sine, cosine)
    points = points.map(([x, y]): Vec => [
      q[0] + (x - p[0]) * Math.cos(turn) - (y - p[1]) * Math.sin(turn),
      q[1] + (x - p[0]) * Math.sin(turn) + (y - p[1]) * Math.cos(turn),
    ])
    const off = points.map((point, i) => {
      const [x, y] = toLine(point, i)
      return Math.hypot(point[0] - x, point[1] - y)
    })
    if (step < 60) continue
    most = Math.min(most, Math.max(...off))
    // Where it lies within tolerance already, there is nothing left to look for.
    if (most < TOLERANCE) return most
    const sum = off.reduce((total, one, i) => total + weights[i]! * one, 0)
    weights = weights.map((weight, i) => (weight * off[i]! * points.length) / Math.max(sum, 1e-9) + 1e-6)
  }
  return most
}

/** Made-up farriers that are tried here. */
const CASES = 1000

/** What one of them bent: one to four places that a hammer can reach, by one to eight degrees. */
function madeUp(seed: number): Bend[] {
  const numbers = draws(seed + 1_000_003)
  const next = () => numbers.next().value
  return Array.from({ length: 1 + Math.floor(next() * 4) }, (): Bend => {
    const branch = next() < 0.5 ? 'lateral' : 'medial'
    const fromToe = branchLength(pattern, branch) * (0.06 + 0.76 * next())
    return { branch, fromToe, angle: (next() < 0.5 ? -1 : 1) * (1 + 7 * next()) }
  })
}

describe('a bend', () => {
  it('keeps the length of the bar, and moves nothing ahead of it', () => {
    fc.assert(
      fc.property(fc.array(anyBend, { minLength: 1, maxLength: 5 }), (bends) => {
        const line = bends.reduce(bent, pattern)
        // A bend between two points cuts no corner off: each is turned about a place on the line between them.
        const ahead = Math.min(...bends.map(({ fromToe }) => fromToe))
        pattern.points.forEach((point, i) => {
          if (Math.abs(pattern.stations[i]! - pattern.toe) < ahead) expect(line.points[i]).toEqual(point)
        })
        for (const bend of bends) {
          const station = stationOf(pattern, bend.branch, bend.fromToe)
          const once = bent(pattern, bend)
          const pivot = pointAt(pattern, station)
          once.points.forEach(([x, y], i) => {
            const [a, b] = pattern.points[i]!
            expect(Math.hypot(x - pivot[0], y - pivot[1])).toBeCloseTo(
              Math.hypot(a - pivot[0], b - pivot[1]),
              9,
            )
          })
        }
      }),
      { numRuns: 60 },
    )
  })

  it('opens outward on either branch, and moves the heel by its arm', () => {
    for (const branch of ['lateral', 'medial'] as const) {
      const bend: Bend = { branch, fromToe: 60, angle: 5 }
      const end = (line: Centreline) => line.points[branch === 'lateral' ? 0 : line.points.length - 1]!
      const outward = branch === 'lateral' ? 1 : -1
      expect((end(bent(pattern, bend))[0] - end(pattern)[0]) * outward).toBeGreaterThan(4)
      const [a, b] = [end(bent(pattern, bend)), end(pattern)]
      expect(heelMoves(pattern, bend)).toBeCloseTo(Math.hypot(a[0] - b[0], a[1] - b[1]), 6)
      // In a mirror, as the other foot is drawn, it opens outward too.
      const mirrored = centrelineOf(pattern.points.map(([x, y]): Vec => [-x, y]))
      expect((end(bent(mirrored, bend))[0] - end(mirrored)[0]) * outward).toBeLessThan(-4)
    }
  })

  it('widens a shoe as integrating its direction along it says', () => {
    // Independent: the line laid down step by step from the toe by its turning angles, the bend added to them.
    const bend: Bend = { branch: 'medial', fromToe: 50, angle: 6 }
    const from = pattern.points.findIndex((_, i) => pattern.stations[i]! >= pattern.toe)
    let [x, y] = pattern.points[from]!
    let at = pattern.stations[from]! - pattern.toe
    for (let i = from; i + 1 < pattern.points.length; i++) {
      const [a, b] = [pattern.points[i]!, pattern.points[i + 1]!]
      const step = Math.hypot(b[0] - a[0], b[1] - a[1])
      const way = Math.atan2(b[1] - a[1], b[0] - a[0])
      const parts = 50
      for (let k = 0; k < parts; k++) {
        at += step / parts
        const turned = way + (at - step / parts / 2 > 50 ? (-6 * Math.PI) / 180 : 0)
        x += (Math.cos(turned) * step) / parts
        y += (Math.sin(turned) * step) / parts
      }
    }
    const end = bent(pattern, bend).points.at(-1)!
    expect(Math.hypot(end[0] - x, end[1] - y)).toBeLessThan(0.02)
  })
})

describe('the fewest bends', () => {
  it('leaves alone what lies within tolerance', () => {
    expect(bendPlan(pattern, pattern)).toMatchObject({ within: true, bends: [] })
    const turned = centrelineOf(
      pattern.points.map(([x, y]): Vec => [x * 0.8 - y * 0.6 + 40, x * 0.6 + y * 0.8 - 9]),
    )
    expect(bendPlan(pattern, { ...turned, toe: pattern.toe }).bends).toEqual([])
  })

  it('undoes one bend with one bend, where it was made', () => {
    for (const branch of ['lateral', 'medial'] as const)
      for (const fromToe of [30, 70, 110]) {
        const found = bendPlan(pattern, bent(pattern, { branch, fromToe, angle: -7 }))
        expect(found.bends).toHaveLength(1)
        expect(found.bends[0]!.branch).toBe(branch)
        expect(Math.abs(found.bends[0]!.fromToe - fromToe)).toBeLessThan(8)
        expect(found.bends[0]!.angle).toBeGreaterThan(5)
        expect(found.residual).toBeLessThan(TOLERANCE / 2)
      }
  })

  it('brings what made-up farriers bent and measured within tolerance, with no more bends than were made and one', () => {
    for (let seed = 0; seed < CASES; seed++) {
      const bends = madeUp(seed)
      const real = bends.reduce(bent, pattern)
      const found = bendPlan(pattern, measured(real, seed * 7919))
      expect(found.within, `case ${seed}`).toBe(true)
      expect(found.bends.length, `case ${seed}`).toBeLessThanOrEqual(bends.length + 1)
      // What is done to the shoe itself, without the noise of the tape.
      expect(furthest(found.bends.reduce(bent, real)), `case ${seed}`).toBeLessThan(TOLERANCE)
      const order = found.bends.map(({ fromToe }) => fromToe)
      expect([...order].sort((a, b) => a - b)).toEqual(order)
    }
  }, 900_000)

  it('is the fewest: no single bend does it where two are planned, by trying them all', () => {
    fc.assert(
      fc.property(fc.array(anyBend, { minLength: 2, maxLength: 2 }), (bends) => {
        const shape = bends.reduce(bent, pattern)
        const found = bendPlan(pattern, shape)
        if (found.bends.length < 2) return
        let nearest = Infinity
        for (const branch of ['lateral', 'medial'] as const)
          for (let fromToe = 6; fromToe < branchLength(pattern, branch) - 24; fromToe += 8)
            for (let angle = -14; angle <= 14; angle += 1)
              nearest = Math.min(nearest, furthest5(bent(shape, { branch, fromToe, angle })))
        // A tenth of the tolerance is left for the hand, and the places are looked at in steps.
        expect(nearest).toBeGreaterThan(TOLERANCE * 0.7)
      }),
      { numRuns: 10, seed: 3, endOnFailure: true },
    )
  })

  it('follows its steps: each shape is the one before with its bend made', () => {
    const shape = [
      { branch: 'lateral' as const, fromToe: 40, angle: 6 },
      { branch: 'medial' as const, fromToe: 90, angle: -8 },
    ].reduce(bent, pattern)
    const found = bendPlan(pattern, shape)
    let line = shape
    found.bends.forEach((bend, i) => {
      line = bent(line, bend)
      found.shapes[i]!.forEach((point, j) => {
        expect(Math.hypot(point[0] - line.points[j]![0], point[1] - line.points[j]![1])).toBeLessThan(1e-6)
      })
    })
    expect(found.laid).toHaveLength(found.bends.length + 1)
    expect(found.before).toBeGreaterThan(TOLERANCE)
  })
})

describe('how far along a bar a point lies', () => {
  it('is read off points without noise as they lie, and off noisy ones nearly so', () => {
    const clean = walkedStations(pattern.points)
    pattern.stations.forEach((station, i) => expect(Math.abs(clean[i]! - station)).toBeLessThan(0.1))
    const long = lineLength(pattern)
    for (const seed of [3, 17, 512]) {
      const { points } = measured(pattern, seed * 7919)
      const walked = walkedStations(points)
      // From point to point it would be some six millimetres longer.
      expect(lineLength(centrelineOf(points)) - long).toBeGreaterThan(3)
      expect(Math.abs(walked.at(-1)! - long)).toBeLessThan(2)
      const off = pattern.stations.map((station, i) => Math.abs(walked[i]! / walked.at(-1)! - station / long))
      expect(Math.max(...off) * long).toBeLessThan(2.5)
    }
  })

  it('leaves a few points as they are', () => {
    const few: Vec[] = [
      [40, -60],
      [60, 0],
      [0, 70],
      [-60, 0],
      [-40, -60],
    ]
    expect(walkedStations(few)).toEqual(centrelineOf(few).stations)
  })
})

describe('the first shaping of a straight bar', () => {
  const straight = { ...pattern, points: straightBar(pattern) }
  const found = bendPlan(pattern, straight)

  it('turns it to its pattern from the toe outward, alike on both sides of an even foot', () => {
    expect(found.within).toBe(true)
    expect(found.bends.length).toBeGreaterThan(5)
    expect(found.bends.length).toBeLessThan(15)
    const order = found.bends.map(({ fromToe }) => fromToe)
    expect([...order].sort((a, b) => a - b)).toEqual(order)
    // Every bend closes, none by more than a hammer does at once; together they turn the branches as the pattern turns.
    for (const { angle } of found.bends) {
      expect(angle).toBeLessThan(0)
      expect(angle).toBeGreaterThan(-45)
    }
    const turned = (branch: string) =>
      found.bends.reduce((sum, one) => (one.branch === branch ? sum + one.angle : sum), 0)
    expect(Math.abs(turned('lateral') - turned('medial'))).toBeLessThan(6)
    // A search of its own: the corners of few bends stand off the curve by a little more than is seen.
    expect(furthest(found.bends.reduce(bent, straight))).toBeLessThan(TOLERANCE * 1.5)
  })

  it('keeps its length, wherever the bar lies, and is the same in a mirror', () => {
    // Told at every half millimetre, so that a corner between two points cuts nothing off.
    const fine = centrelineOf(
      Array.from({ length: 601 }, (_, i): Vec => [lineLength(pattern) * (0.5 - i / 600), 0]),
    )
    const turned = found.bends.reduce(bent, fine)
    expect(Math.abs(lineLength(centrelineOf(turned.points)) - lineLength(pattern))).toBeLessThan(0.1)
    const aslant = straight.points.map(([x, y]): Vec => [x * 0.6 - y * 0.8 + 70, x * 0.8 + y * 0.6 - 20])
    const asItLies = bendPlan(pattern, { ...straight, points: aslant })
    expect(asItLies.bends.map(({ angle }) => angle.toFixed(2))).toEqual(
      found.bends.map(({ angle }) => angle.toFixed(2)),
    )
    const flip = (line: Centreline) => ({ ...line, points: line.points.map(([x, y]): Vec => [-x, y]) })
    const mirrored = bendPlan(flip(pattern), flip(straight))
    expect(mirrored.bends).toEqual(found.bends)
    expect(mirrored.shapes[0]!.map(([x, y]) => [-x, y])).toEqual(found.shapes[0])
  })
})

/** As `furthest`, by a plan that may leave anything: quick enough for thousands. */
const furthest5 = (line: Centreline): number => bendPlan(pattern, line, 1000).residual

describe('a shape from three measures', () => {
  it('measures so', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -10, max: 12, noNaN: true }),
        fc.double({ min: -12, max: 12, noNaN: true }),
        (wide, heels) => {
          const right = measuresOf(pattern, 19.05, 'outside')
          const asked = { ...right, width: right.width + wide, heelWidth: right.heelWidth + heels }
          const { line } = likelyShape(pattern, 19.05, asked)
          const read = measuresOf(line, 19.05, 'outside')
          expect(read.width).toBeCloseTo(asked.width, 1)
          expect(read.heelWidth).toBeCloseTo(asked.heelWidth, 1)
          // Bending never makes it longer along the bar.
          expect(lineLength(centrelineOf(line.points)) / lineLength(pattern)).toBeCloseTo(1, 2)
        },
      ),
      { numRuns: 40 },
    )
  })

  it('opens both heels where they measure narrow, the typical last correction', () => {
    const right = measuresOf(pattern, PLAIN_SHOE.section.width, 'outside')
    const found = planBends(
      { foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE },
      { ...right, heelWidth: right.heelWidth - 9 },
    )
    expect(found.within).toBe(true)
    expect(new Set(found.bends.map(({ branch }) => branch))).toEqual(new Set(['lateral', 'medial']))
    expect(found.bends.every(({ opens }) => opens)).toBe(true)
    expect(found.notes.map(inMm).join(' ')).toMatch(/not which branch is off/)
  })

  it('says when the length is another: no bend takes that away', () => {
    const right = measuresOf(pattern, PLAIN_SHOE.section.width, 'outside')
    const found = planBends({ foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }, { ...right, length: right.length + 6 })
    expect(found.notes.map(inMm).join(' ')).toMatch(/12 mm longer along the bar/)
  })

  it('refuses measures that no shoe of this pattern has', () => {
    const right = measuresOf(pattern, PLAIN_SHOE.section.width, 'outside')
    expect(() =>
      planBends({ foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }, { ...right, width: 60, heelWidth: 390 }),
    ).toThrow(ProblemError)
  })
})

describe('a shape as it was seen on the foot', () => {
  it('stands off its pattern where and as far as it was said, and nowhere else', () => {
    const shape = tappedShape(pattern, [{ branch: 'lateral', place: 'heel', by: -6 }])
    expect(shape[0]![0]).toBeLessThan(pattern.points[0]![0] - 5)
    shape.forEach(([x, y], i) => {
      if (pattern.stations[i]! > pattern.toe) expect([x, y]).toEqual(pattern.points[i])
    })
    const wide = tappedShape(pattern, [{ branch: 'medial', place: 'quarter', by: 4 }])
    const most = Math.max(
      ...wide.map(([x, y], i) => Math.hypot(x - pattern.points[i]![0], y - pattern.points[i]![1])),
    )
    expect(most).toBeCloseTo(4, 1)
    expect(Math.min(...wide.map(([x]) => x))).toBeLessThan(Math.min(...pattern.points.map(([x]) => x)) - 3)
  })

  it('is tapped on the pattern: three places a branch, outward away from the middle of the foot', () => {
    const places = placesOnPattern(pattern)
    expect(places.map(({ branch, place }) => `${branch} ${place}`)).toEqual([
      ...['lateral toe quarter', 'lateral quarter', 'lateral heel'],
      ...['medial toe quarter', 'medial quarter', 'medial heel'],
    ])
    for (const { branch, point, outward } of places) {
      expect(Math.hypot(...outward)).toBeCloseTo(1, 9)
      expect(point[0] * (branch === 'lateral' ? 1 : -1)).toBeGreaterThan(20)
      expect(outward[0] * point[0] + outward[1] * point[1]).toBeGreaterThan(0)
    }
  })

  it('has only the branch bent that was seen off', () => {
    for (const branch of ['lateral', 'medial'] as const)
      for (const by of [-8, -3, 5]) {
        const shape = tappedShape(pattern, [{ branch, place: 'heel', by }])
        const found = planBends({ foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }, { points: shape }, TOLERANCE, [
          branch,
        ])
        expect(found.within).toBe(true)
        expect(found.bends.length).toBeGreaterThan(0)
        expect(new Set(found.bends.map((one) => one.branch))).toEqual(new Set([branch]))
      }
  })

  it('is brought back by opening the heel that was tight', () => {
    const shape = tappedShape(pattern, [{ branch: 'lateral', place: 'heel', by: -6 }])
    const found = planBends({ foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }, { points: shape })
    expect(found.within).toBe(true)
    expect(found.bends.map(({ branch, opens }) => [branch, opens])).toEqual([['lateral', true]])
  })
})

describe('a bend in words', () => {
  it('is named by hole, clip or quarter, and told how to rest on the horn', () => {
    const shoe = { ...PLAIN_SHOE, modifications: [{ kind: 'quarter-clips' }] }
    const target = { foot: FIVE_BY_FIVE, shoe }
    const hole = plan.nails.find(({ branch, number }) => branch === 'lateral' && number === 3)!
    const near = pattern.points.reduce((best, [x, y], i) => {
      const [a, b] = pattern.points[best]!
      return Math.hypot(x - hole.x, y - hole.y) < Math.hypot(a - hole.x, b - hole.y) ? i : best
    }, 0)
    const fromToe = pattern.toe - pattern.stations[near]!
    const shape = bent(pattern, { branch: 'lateral', fromToe, angle: -8 })
    const [bend] = planBends(target, { points: shape.points }).bends
    expect(bend!.place).toBe('outer branch, at hole 3')
    expect(inMm(bend!.how)).toMatch(/^Outer edge down.*strike the inner edge/)
    const [closing] = planBends(target, {
      points: bent(pattern, { branch: 'medial', fromToe: 120, angle: 8 }).points,
    }).bends
    expect(closing).toMatchObject({ opens: false, branch: 'medial' })
    expect(closing!.place).toMatch(/^inner branch, at the (quarter|heel)$/)
    expect(inMm(closing!.how)).toMatch(/^Inner edge down/)
  })

  it('says when no bend helps', () => {
    // A size too large all round, given as it lies.
    const shape = pattern.points.map(([x, y]): Vec => [x * 1.15, y * 1.15])
    const found = planBends({ points: pattern.points }, { points: shape })
    expect(found.notes.map(inMm).join(' ')).toMatch(/longer along the bar/)
    expect(() => planBends({ points: pattern.points }, { points: [[0, 0]] })).toThrow(ProblemError)
  })
})
