import { mix, type Vec } from '../geometry/vector'
import { lengthAlong, stationsAlong } from '../geometry/walked'
import type { Half } from '../terms/half'

/** A shoe as the line along the middle of its web, from the lateral to the medial heel, and where its toe is. */
export interface Centreline {
  points: readonly Vec[]
  /** Along the line from its lateral end to each point, mm. */
  stations: readonly number[]
  /** Where the middle of the toe is, mm along the line. */
  toe: number
}

/** A line through points; the middle of the toe is half way along it, or at the share that is told. */
export function centrelineOf(points: readonly Vec[], toeShare = 0.5): Centreline {
  const stations = stationsAlong(points)
  return { points, stations, toe: stations[stations.length - 1]! * toeShare }
}

export const lineLength = ({ stations }: Centreline): number => stations[stations.length - 1]!

/** Of a branch from the middle of the toe to its end, mm. */
export const branchLength = (line: Centreline, branch: Half): number =>
  branch === 'lateral' ? line.toe : lineLength(line) - line.toe

/** The station of a place on a branch. */
export const stationOf = (line: Centreline, branch: Half, fromToe: number): number =>
  branch === 'lateral' ? line.toe - fromToe : line.toe + fromToe

/** The point at a station, straight between two points of the line. */
export function pointAt({ points, stations }: Centreline, station: number): Vec {
  let high = stations.findIndex((one) => one >= station)
  if (high < 0) high = stations.length - 1
  if (high === 0) high = 1
  const [from, to] = [stations[high - 1]!, stations[high]!]
  return mix(points[high - 1]!, points[high]!, to > from ? (station - from) / (to - from) : 0)
}

/** A line that bows by less than this, as a share of its length squared, is a straight bar. */
const STRAIGHT = 0.01

/** How far a line bows to the left of its chord, as a share of its length squared; minus to the right. */
function bow(points: readonly Vec[]): number {
  const area = points.reduce((sum, [x, y], i) => {
    const [a, b] = points[(i + 1) % points.length]!
    return sum + x * b - y * a
  }, 0)
  return area / lengthAlong(points) ** 2
}

/** Which way round the line runs: 1 counter-clockwise, as in the foot's frame and as a straight bar will, -1 as in a mirror. */
export const handedness = (points: readonly Vec[]): 1 | -1 => (bow(points) >= -STRAIGHT ? 1 : -1)

/** Whether one line runs round the other way than another: from its other end, or seen from its other side. A straight bar does neither. */
export const runsBackward = (one: readonly Vec[], other: readonly Vec[]): boolean =>
  Math.abs(bow(one)) > STRAIGHT && Math.abs(bow(other)) > STRAIGHT && bow(one) > 0 !== bow(other) > 0
