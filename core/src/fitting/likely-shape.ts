import { problem, ProblemError } from '../notices/problem'
import { length, told } from '../notices/told'
import type { Plan } from '../plan/plan'
import { rotated, subtract, add, type Vec } from '../geometry/vector'
import type { HEEL_MEASURES } from '../terms/foot-choices'
import { HALVES, type Half } from '../terms/half'
import { turnOf } from './bend'
import { walkedStations } from './walked-stations'
import { branchLength, pointAt, stationOf, type Centreline } from './centreline'

/** What a tape tells of a shoe on the anvil, mm. */
export interface AnvilMeasures {
  /** Outside, at its widest. */
  width: number
  heelWidth: number
  /** Outside to outside of the heels, or middle to middle of the web. */
  heelMeasure: (typeof HEEL_MEASURES)[number]
  /** From the outside of the toe to a rule across the heel ends. */
  length: number
}

/** The figures among them. */
type TapeMeasure = 'width' | 'heelWidth' | 'length'

/** The shape that three measures leave likeliest, and how sure that is. */
export interface LikelyShape {
  line: Centreline
  /** Longer than its pattern along the bar by this, mm; minus shorter. No bend takes that away. */
  longer: number
}

/** Where a branch gives when a shoe is opened as a whole: at the toe quarter for its width, at the quarter for its heels. */
const GIVES = { front: [0.12, 0.45], back: [0.5, 0.85] } as const

/** Steps a give is spread over. */
const STEPS = 6

/** Looked for within this, mm. */
const NEAR = 0.01

/**
 * The likeliest shape of a shoe of which width, heel width and length were measured: its pattern, opened or closed evenly
 * on both sides at toe quarters and quarters until it measures so. What differs between the branches no tape tells.
 *
 * @param right what the pattern itself measures: a shoe that measures so is right
 * @throws ProblemError where no shoe of this pattern measures so
 */
export function likelyShape(
  pattern: Centreline,
  right: AnvilMeasures,
  measured: Pick<AnvilMeasures, TapeMeasure>,
): LikelyShape {
  const asLaid = tapeOf(pattern)
  // A tape goes by the edges, a bend by the middle of the web: what lies between the two stays as it is on the pattern.
  const read = (line: Centreline): Record<TapeMeasure, number> => {
    const now = tapeOf(line)
    return {
      width: right.width + now.width - asLaid.width,
      heelWidth: right.heelWidth + now.heelWidth - asLaid.heelWidth,
      length: right.length + now.length - asLaid.length,
    }
  }
  let gives: [number, number] = [0, 0]
  for (let i = 0; i < 20; i++) {
    const now = read(opened(pattern, gives))
    const off: Vec = [measured.width - now.width, measured.heelWidth - now.heelWidth]
    if (Math.hypot(...off) < NEAR) break
    const by = 0.02
    const [a, b] = [
      read(opened(pattern, [gives[0] + by, gives[1]])),
      read(opened(pattern, [gives[0], gives[1] + by])),
    ]
    const [p, q] = [(a.width - now.width) / by, (b.width - now.width) / by]
    const [r, s] = [(a.heelWidth - now.heelWidth) / by, (b.heelWidth - now.heelWidth) / by]
    const whole = p * s - q * r
    if (Math.abs(whole) < 1e-6) break
    const step: Vec = [(s * off[0] - q * off[1]) / whole, (p * off[1] - r * off[0]) / whole]
    const held = Math.min(1, MOST_STEP / Math.max(1e-9, ...step.map(Math.abs)))
    gives = [gives[0] + step[0] * held, gives[1] + step[1] * held]
  }
  const line = opened(pattern, gives)
  const now = read(line)
  const problems = [
    ...(['width', 'heelWidth'] as const).flatMap((key) =>
      Math.abs(now[key] - measured[key]) < 1
        ? []
        : [
            problem(
              `shape.${key}`,
              told`${key === 'width' ? 'Width' : 'Heel width'}: ${length(measured[key])} beside the other measures is not possible for this shoe; it comes to about ${length(now[key])}`,
            ),
          ],
    ),
  ]
  if (problems.length > 0) throw new ProblemError(problems)
  return { line, longer: 2 * (measured.length - now.length) }
}

/** The most a give changes at a step, radians. */
const MOST_STEP = 0.15

/** A pattern opened evenly on both branches: radians at the toe quarters, and at the quarters. */
function opened(pattern: Centreline, [front, back]: readonly [number, number]): Centreline {
  let line = pattern
  for (const branch of HALVES) {
    line = spread(line, branch, GIVES.front, front)
    line = spread(line, branch, GIVES.back, back)
  }
  return line
}

/** A bend spread over a stretch of a branch. */
function spread(
  line: Centreline,
  branch: Half,
  [from, to]: readonly [number, number],
  by: number,
): Centreline {
  let points = line.points
  const sign = turnOf(points, branch)
  const long = branchLength(line, branch)
  for (let i = 0; i < STEPS; i++) {
    const station = stationOf(line, branch, long * (from + ((to - from) * (i + 0.5)) / STEPS))
    const pivot = pointAt({ ...line, points }, station)
    const behind = (at: number) => (branch === 'lateral' ? at < station : at > station)
    points = points.map((point, j) =>
      behind(line.stations[j]!) ? add(pivot, rotated(subtract(point, pivot), (by / STEPS) * sign)) : point,
    )
  }
  return { ...line, points }
}

/** What a planned shoe measures once it is right: the same rules as on its card. */
export function rightMeasures(plan: Plan, heelMeasure: AnvilMeasures['heelMeasure']): AnvilMeasures {
  const { width, heelsOutside, heelsMiddle, length } = plan.measures
  const heels = heelMeasure === 'outside' ? heelsOutside : heelsMiddle
  return { width: width.value, heelWidth: heels.value, heelMeasure, length: length.value }
}

/** Of a line of points nobody knows a web: it measures what the line does. */
export const lineMeasures = (line: Centreline, heelMeasure: AnvilMeasures['heelMeasure']): AnvilMeasures => ({
  ...tapeOf(line),
  heelMeasure,
})

/** The three measures of a line, laid level across its ends, mm. */
function tapeOf(line: Centreline): Record<TapeMeasure, number> {
  const { points } = line
  // Level across the heels: the middle of the heel line to the toe is the shoe's own axis.
  const [first, last] = [points[0]!, points[points.length - 1]!]
  const toe = pointAt(line, line.toe)
  const [x, y] = subtract(toe, [(first[0] + last[0]) / 2, (first[1] + last[1]) / 2])
  const upright = points.map((point) => rotated(point, Math.atan2(x, y)))
  const across = upright.map(([one]) => one)
  const long = upright.map(([, one]) => one)
  return {
    width: Math.max(...across) - Math.min(...across),
    heelWidth: Math.hypot(first[0] - last[0], first[1] - last[1]),
    length: Math.max(...long) - (upright[0]![1] + upright[upright.length - 1]![1]) / 2,
  }
}

/** A shape by points from the lateral to the medial heel; the middle of the toe lies as it does on its pattern. */
export function shapeByPoints(points: readonly Vec[], pattern: Centreline): Centreline {
  const stations = walkedStations(points)
  const share = pattern.toe / pattern.stations[pattern.stations.length - 1]!
  return { points, stations, toe: stations[stations.length - 1]! * share }
}
