import { nearestStation, placeAt, rightOf, track, type Track } from '../../geometry/track'
import { along, subtract, turnRight, unit, type Vec } from '../../geometry/vector'

/** A rim that was sawn back to a line as far as it may be. Lists go point for point with the rim as it was. */
export interface Trimmed {
  rim: Track
  /** Taken off at each point, mm, square to the rim as it was. */
  taken: readonly number[]
  /** What still stands outside the line there, mm; minus lies inside it. */
  standsOut: readonly number[]
}

/** Less than this no saw takes off, mm. */
const LEAST = 0.05

/**
 * Saws a rim back to the line it should follow.
 *
 * @param room how far in a saw may go, mm
 */
export function trimmedTo(rim: Track, wanted: Track, room: number): Trimmed {
  const out = rim.points.map((point, i) => outsideBy(point, turnRight(rim.tangents[i]!), wanted))
  const taken = out.map((by) => (by < LEAST ? 0 : Math.min(by, room)))
  const points = rim.points.map((point, i) => along(point, turnRight(rim.tangents[i]!), -taken[i]!))
  return {
    rim: taken.some((by) => by > 0) ? track(points, directions(points)) : rim,
    taken,
    standsOut: out.map((by, i) => by - taken[i]!),
  }
}

/**
 * How far outside a line a point lies, measured along a direction, mm; minus where it lies inside it.
 *
 * @param outward unit direction
 * @param guess where it is looked for first
 */
export function outsideBy(point: Vec, outward: Vec, line: Track, guess = 0): number {
  let by = guess
  // The line runs nearly beside the rim: what is left after a step is of the second order.
  for (let i = 0; i < 4; i++) {
    const here = along(point, outward, -by)
    by += rightOf(placeAt(line, nearestStation(line, here)), here)
  }
  return by
}

/** The way on at each point of a line. */
const directions = (points: readonly Vec[]): Vec[] =>
  points.map((_, i) =>
    unit(subtract(points[Math.min(points.length - 1, i + 1)]!, points[Math.max(0, i - 1)]!)),
  )
