import type { Vec } from '../../geometry/vector'
import { CHORD } from './curves'

/** No arc or spline is drawn with more chords than this. */
const MOST_CHORDS = 720

/** Chords that keep an arc of a radius within a tolerance. */
function chordsFor(radius: number, sweep: number, tolerance: number): number {
  if (!(radius > 0) || !Number.isFinite(sweep)) return 1
  const step = 2 * Math.acos(Math.max(0.5, 1 - tolerance / radius))
  return Math.min(MOST_CHORDS, Math.max(2, Math.ceil(Math.abs(sweep) / step)))
}

/** An arc of an ellipse about a middle: half axes, the turn of the first, from one angle of the parameter over a sweep, radians. */
export function ellipseArc(
  [cx, cy]: Vec,
  [a, b]: Vec,
  turn: number,
  from: number,
  sweep: number,
  tolerance = CHORD,
): Vec[] {
  const count = chordsFor(Math.max(Math.abs(a), Math.abs(b)), sweep, tolerance)
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
  return Array.from({ length: count + 1 }, (_, i): Vec => {
    const t = from + (sweep * i) / count
    const [x, y] = [a * Math.cos(t), b * Math.sin(t)]
    return [cx + x * cos - y * sin, cy + x * sin + y * cos]
  })
}

/** The arc from one point to another whose bulge is the tangent of a quarter of its sweep (DXF reference, LWPOLYLINE code 42). */
export function bulgeArc(from: Vec, to: Vec, bulge: number): Vec[] {
  if (Math.abs(bulge) < 1e-9) return [from, to]
  const sweep = 4 * Math.atan(bulge)
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const chord = Math.hypot(dx, dy)
  if (chord === 0) return [from, to]
  const off = (1 - bulge * bulge) / (4 * bulge)
  const middle: Vec = [(from[0] + to[0]) / 2 - dy * off, (from[1] + to[1]) / 2 + dx * off]
  const radius = (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge))
  const start = Math.atan2(from[1] - middle[1], from[0] - middle[0])
  const points = ellipseArc(middle, [radius, radius], 0, start, sweep)
  points[points.length - 1] = to
  return points
}

/**
 * The arc of an SVG path from where the pen stands (SVG 1.1, appendix F.6.5): half axes, their turn in degrees, which of the
 * four arcs, and where it ends.
 */
export function svgArc(
  from: Vec,
  [rx, ry]: Vec,
  turn: number,
  large: boolean,
  sweep: boolean,
  to: Vec,
): Vec[] {
  if (rx === 0 || ry === 0) return [from, to]
  const phi = (turn * Math.PI) / 180
  const [cos, sin] = [Math.cos(phi), Math.sin(phi)]
  const [hx, hy] = [(from[0] - to[0]) / 2, (from[1] - to[1]) / 2]
  const [x, y] = [cos * hx + sin * hy, -sin * hx + cos * hy]
  let [a, b] = [Math.abs(rx), Math.abs(ry)]
  const over = (x / a) ** 2 + (y / b) ** 2
  // Too small to reach: made as much larger as they must be.
  if (over > 1) [a, b] = [a * Math.sqrt(over), b * Math.sqrt(over)]
  const under = (a * y) ** 2 + (b * x) ** 2
  const far =
    under === 0 ? 0 : Math.sqrt(Math.max(0, (a * b) ** 2 - under) / under) * (large === sweep ? -1 : 1)
  const [mx, my] = [(far * a * y) / b, (-far * b * x) / a]
  const middle: Vec = [
    cos * mx - sin * my + (from[0] + to[0]) / 2,
    sin * mx + cos * my + (from[1] + to[1]) / 2,
  ]
  const start = Math.atan2((y - my) / b, (x - mx) / a)
  const end = Math.atan2((-y - my) / b, (-x - mx) / a)
  let turned = end - start
  if (sweep && turned < 0) turned += 2 * Math.PI
  if (!sweep && turned > 0) turned -= 2 * Math.PI
  const points = ellipseArc(middle, [a, b], phi, start, turned)
  points[points.length - 1] = to
  return points
}

/** A Bezier curve of any degree by its control points. */
export function bezier(controls: readonly Vec[]): Vec[] {
  const run = controls.reduce((sum, [x, y], i) => {
    const before = controls[i - 1]
    return before ? sum + Math.hypot(x - before[0], y - before[1]) : 0
  }, 0)
  // As many chords as a circle of half its length would take: never coarser than that.
  const count = chordsFor(run / 2, Math.PI, CHORD)
  return Array.from({ length: count + 1 }, (_, i) => casteljau(controls, i / count))
}

function casteljau(controls: readonly Vec[], t: number): Vec {
  let row = [...controls]
  while (row.length > 1)
    row = row.slice(1).map(([x, y], i): Vec => {
      const [px, py] = row[i]!
      return [px + (x - px) * t, py + (y - py) * t]
    })
  return row[0]!
}

/** The fewest chords between two knots of a spline. */
const BETWEEN_KNOTS = 8

/**
 * A B-spline by its control points, knots and weights (de Boor's walk through them).
 *
 * @param weights of a rational one, above 0; all alike where they are not given
 * @returns undefined where these do not belong together
 */
export function bSpline(
  controls: readonly Vec[],
  knots: readonly number[],
  degree: number,
  weights: readonly number[] = [],
): Vec[] | undefined {
  const n = controls.length
  const belongs = degree >= 1 && degree <= 10 && n > degree && knots.length === n + degree + 1
  if (weights.length > 0 && (weights.length !== n || weights.some((weight) => !(weight > 0))))
    return undefined
  const weighed = controls.map(([x, y], i): Weighed => {
    const weight = weights[i] ?? 1
    return [x * weight, y * weight, weight]
  })
  if (!belongs || knots.some((knot, i) => !Number.isFinite(knot) || (i > 0 && knot < knots[i - 1]!)))
    return undefined
  const points: Vec[] = []
  for (let span = degree; span < n; span++) {
    const [low, high] = [knots[span]!, knots[span + 1]!]
    if (high <= low) continue
    const at = (t: number) => deBoor(weighed, knots, degree, span, t)
    const stops = Array.from(
      { length: BETWEEN_KNOTS + 1 },
      (_, i) => low + ((high - low) * i) / BETWEEN_KNOTS,
    )
    stops.slice(1).forEach((to, i) => points.push(...chordsOf(at, [stops[i]!, at(stops[i]!)], [to, at(to)])))
    if (span === n - 1) points.push(at(high))
  }
  return points.length > 1 ? points : undefined
}

/** A piece is halved so often at most. */
const HALVINGS = 8

/** Where chords along a curve begin, between two of its places, so many that none strays further than it may. */
function chordsOf(
  at: (t: number) => Vec,
  from: readonly [number, Vec],
  to: readonly [number, Vec],
  halved = 0,
): Vec[] {
  const middle = (from[0] + to[0]) / 2
  const there = at(middle)
  const [[ax, ay], [bx, by]] = [from[1], to[1]]
  const off = Math.hypot(there[0] - (ax + bx) / 2, there[1] - (ay + by) / 2)
  if (off <= CHORD || halved === HALVINGS) return [from[1]]
  const half = [middle, there] as const
  return [...chordsOf(at, from, half, halved + 1), ...chordsOf(at, half, to, halved + 1)]
}

/** A place times its weight, and the weight: rational curves are plain ones of these. */
type Weighed = readonly [x: number, y: number, weight: number]

function deBoor(
  controls: readonly Weighed[],
  knots: readonly number[],
  degree: number,
  span: number,
  at: number,
): Vec {
  const row = Array.from({ length: degree + 1 }, (_, j) => controls[span - degree + j]!)
  for (let level = 1; level <= degree; level++)
    for (let j = degree; j >= level; j--) {
      const low = knots[span - degree + j]!
      const wide = knots[span + 1 + j - level]! - low
      const share = wide === 0 ? 0 : (at - low) / wide
      const [a, b] = [row[j - 1]!, row[j]!]
      const between = (axis: 0 | 1 | 2) => a[axis] + (b[axis] - a[axis]) * share
      row[j] = [between(0), between(1), between(2)]
    }
  const [x, y, weight] = row[degree]!
  return [x / weight, y / weight]
}
