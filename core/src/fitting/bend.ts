import { rotated, subtract, add, type Vec } from '../geometry/vector'
import type { Half } from '../terms/half'
import { handedness, pointAt, stationOf, type Centreline } from './centreline'

/** One correction: a place on a branch, and by how much it is opened there. */
export interface Bend {
  branch: Half
  /** Along the centreline from the middle of the toe, mm. */
  fromToe: number
  /** Degrees; plus opens, minus closes. */
  angle: number
}

const RADIANS = Math.PI / 180

/** Which way a bend that opens turns what lies behind it: 1 counter-clockwise. */
export const turnOf = (points: readonly Vec[], branch: Half): 1 | -1 =>
  (handedness(points) * (branch === 'lateral' ? 1 : -1)) as 1 | -1

/**
 * The line with a bend made: all that lies behind the place on its branch is turned about it, nothing ahead of it moves,
 * and the line stays as long as it was.
 */
export function bent(line: Centreline, { branch, fromToe, angle }: Bend): Centreline {
  const station = stationOf(line, branch, fromToe)
  const pivot = pointAt(line, station)
  const by = angle * RADIANS * turnOf(line.points, branch)
  const behind = (at: number) => (branch === 'lateral' ? at < station : at > station)
  const points = line.points.map((point, i) =>
    behind(line.stations[i]!) ? add(pivot, rotated(subtract(point, pivot), by)) : point,
  )
  return { ...line, points }
}

/** How far a bend moves the end of its branch outward, mm; minus inward. */
export function heelMoves(line: Centreline, bend: Bend): number {
  const at = pointAt(line, stationOf(line, bend.branch, bend.fromToe))
  const end = line.points[bend.branch === 'lateral' ? 0 : line.points.length - 1]!
  const arm = Math.hypot(end[0] - at[0], end[1] - at[1])
  return 2 * arm * Math.sin((bend.angle * RADIANS) / 2)
}
