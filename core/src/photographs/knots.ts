import { splineThrough } from '../geometry/spline'
import { nearestAlong, pointAlong, stationsAlong } from '../geometry/walked'
import type { Vec } from '../geometry/vector'

/** Knots of a line that a hand can still take hold of one by one. */
const KNOTS = 41
/** Steps between two knots when a line is drawn. */
const STEPS = 6
/** A line needs so many knots to be one. */
const LEAST = 7

/**
 * Knots of the part of a closed outline from the outer heel round over the toe to the inner heel, evenly along it.
 *
 * @param outline closed, mm, from the outer heel on over the toe, as it is traced
 */
export function knotsOf(outline: readonly Vec[], medialHeel: Vec, count = KNOTS): Vec[] {
  const stations = stationsAlong(outline)
  const whole = nearestAlong(outline, medialHeel, stations).station
  return Array.from({ length: count }, (_, i) => pointAlong(outline, (whole * i) / (count - 1), stations))
}

/** The smooth line through knots, as points. */
export function lineThrough(knots: readonly Vec[]): Vec[] {
  const curve = splineThrough(knots)
  const point = (t: number): Vec => curve.point(t)
  return curve.breaks.flatMap((from, i): Vec[] => {
    const to = curve.breaks[i + 1]
    if (to === undefined) return [point(from)]
    return Array.from({ length: STEPS }, (_, k) => point(from + ((to - from) * k) / STEPS))
  })
}

/** The knots with one more, there where the line comes nearest to a place; its number. */
export function withKnot(knots: readonly Vec[], place: Vec): { knots: Vec[]; at: number } {
  const line = lineThrough(knots)
  const stations = stationsAlong(line)
  const { station } = nearestAlong(line, place, stations)
  const i = stations.findIndex((each) => each > station)
  const at = Math.max(1, Math.min(knots.length - 1, Math.ceil((i < 0 ? line.length - 1 : i) / STEPS)))
  return { knots: [...knots.slice(0, at), place, ...knots.slice(at)], at }
}

/** The knots without one; its two ends and the fewest that make a line stay. */
export function withoutKnot(knots: readonly Vec[], at: number): Vec[] {
  if (at <= 0 || at >= knots.length - 1 || knots.length <= LEAST) return [...knots]
  return knots.filter((_, i) => i !== at)
}
