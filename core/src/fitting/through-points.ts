import { splineThrough } from '../geometry/spline'
import { distance, type Vec } from '../geometry/vector'
import { lengthAlong } from '../geometry/walked'

/** Points further apart than this say where a shoe runs, not how it runs between them, mm. */
const APART = 12
/** So near to one another points are put in between, mm. */
export const STEP = 3

const knotsOf = (points: readonly Vec[]) =>
  points.filter((point, i) => i === 0 || distance(point, points[i - 1]!) > 1e-6)

/** Whether points are so few that they are no line by themselves. */
export const farApart = (points: readonly Vec[]): boolean =>
  points.length >= 4 && lengthAlong(points) / (points.length - 1) > APART

/**
 * The line of a shoe by a few points along it: a smooth curve through them, since iron bends in curves and a chord across
 * a quarter lies millimetres inside of it. Points that lie close are a line already, with what the tape is off in it.
 */
export function throughPoints(points: readonly Vec[]): readonly Vec[] {
  const knots = knotsOf(points)
  if (!farApart(knots)) return points
  const curve = splineThrough(knots)
  const count = Math.ceil(lengthAlong(knots) / STEP)
  return Array.from({ length: count + 1 }, (_, i) => curve.point(i / count))
}
