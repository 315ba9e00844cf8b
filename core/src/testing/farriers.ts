import fc from 'fast-check'
import type { Bend } from '../fitting/bend'
import { branchLength, type Centreline } from '../fitting/centreline'
import { shapeByPoints } from '../fitting/likely-shape'
import { centrelineOfPlan } from '../fitting/place-words'
import { TOLERANCE } from '../fitting/bend-plan'
import type { Vec } from '../geometry/vector'
import { planShoe } from '../plan/plan'
import { FIVE_BY_FIVE, PLAIN_SHOE } from './samples'

// For tests: made-up farriers who bend the shoe of the sample foot and measure what they did, and a search of its own for how
// far off a shape lies.

/** The plain shoe of the sample foot. */
export const plan = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
export const pattern = centrelineOfPlan(plan)

/** A made-up farrier: bends at places that a hammer can reach. */
export const anyBend = fc
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

/** Points as a tape finds them: each off either way by a bell so wide, mm (Box and Muller 1958). */
export function scattered(points: readonly Vec[], by: number, seed: number): Vec[] {
  const numbers = draws(seed)
  return points.map(([x, y]): Vec => {
    const far = by * Math.sqrt(-2 * Math.log(1 - numbers.next().value))
    const way = 2 * Math.PI * numbers.next().value
    return [x + far * Math.cos(way), y + far * Math.sin(way)]
  })
}

/** A line as a tape finds it: each point off by half a millimetre. */
export const measured = (line: Centreline, seed: number): Centreline =>
  shapeByPoints(scattered(line.points, 0.5, seed), pattern)

/** Each point is looked for among so many pieces either way. */
const NEAR = 8

/**
 * How far a line lies off the pattern at most, by a plain search of its own: the line is turned and shifted until its
 * points lie as near to the pattern's line as they can, first all together, then with more and more weight on those that
 * are furthest off (Lawson 1961): a shoe is laid on the foot where it fits best.
 */
export function furthest(line: Centreline): number {
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
    // Whether it lies within tolerance is looked at now and then at first, and at each step once weights move.
    if (step < 60 && step % 10 !== 9) continue
    const off = points.map((point, i) => {
      const [x, y] = toLine(point, i)
      return Math.hypot(point[0] - x, point[1] - y)
    })
    most = Math.min(most, Math.max(...off))
    // However it was laid, it lies within tolerance so: there is nothing left to look for.
    if (most < TOLERANCE) return most
    if (step < 60) continue
    const sum = off.reduce((total, one, i) => total + weights[i]! * one, 0)
    weights = weights.map((weight, i) => (weight * off[i]! * points.length) / Math.max(sum, 1e-9) + 1e-6)
  }
  return most
}

/** What one of them bent: one to four places that a hammer can reach, by one to eight degrees. */
export function madeUp(seed: number): Bend[] {
  const numbers = draws(seed + 1_000_003)
  const next = () => numbers.next().value
  return Array.from({ length: 1 + Math.floor(next() * 4) }, (): Bend => {
    const branch = next() < 0.5 ? 'lateral' : 'medial'
    const fromToe = branchLength(pattern, branch) * (0.06 + 0.76 * next())
    return { branch, fromToe, angle: (next() < 0.5 ? -1 : 1) * (1 + 7 * next()) }
  })
}
