import { figureAlong } from '../geometry/figure-along'
import { along, angleOf, distance, rotated, subtract, unit, type Vec } from '../geometry/vector'
import type { Half } from '../terms/half'

/** A line in pieces: how long each is, which way it runs, and by how much the next turns from it, radians. */
interface Pieces {
  lengths: readonly number[]
  /** At each corner between two pieces. */
  turns: readonly number[]
}

/** The straight pieces of a line through points. */
function piecesOf(points: readonly Vec[]): Pieces {
  const steps = points.slice(1).map((point, i) => subtract(point, points[i]!))
  return {
    lengths: points.slice(1).map((point, i) => distance(points[i]!, point)),
    turns: steps.slice(1).map((b, i) => {
      const a = steps[i]!
      return angleOf(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1])
    }),
  }
}

/** How far along each branch from the middle of the toe a shape is taken on, mm. */
export type Reach = Readonly<Record<Half, number>>

/**
 * A line on its way to its final shape: its own turns are taken on from the middle of the toe outward as far as told,
 * beyond that it still runs as before. Every piece keeps its length, so the bar stays as long as it is.
 *
 * @param points of the final shape, walked from the lateral to the medial heel, mm
 * @param toe the middle of the toe along it, mm; there the line keeps its place and direction
 * @param before how it turned at each corner before, radians: nothing for a straight bar
 */
export function takenOn(
  points: readonly Vec[],
  toe: number,
  reach: Reach,
  before?: readonly number[],
): readonly Vec[] {
  const { lengths, turns } = piecesOf(points)
  const stations = stationsOf(lengths)
  const still = turns.map((turn, i) => {
    const off = stations[i + 1]! - toe
    const near = off < 0 ? -off <= reach.lateral : off <= reach.medial
    return near ? turn : (before?.[i] ?? 0)
  })
  // What is as it shall be stays to the last digit.
  if (still.every((turn, i) => turn === turns[i])) return points
  const held = Math.max(0, stations.findIndex((station) => station > toe) - 1)
  const shape = [...points]
  const way = unit(subtract(points[held + 1]!, points[held]!))
  let ahead = way
  for (let i = held + 1; i + 1 < points.length; i++) {
    ahead = rotated(ahead, still[i - 1]!)
    shape[i + 1] = along(shape[i]!, ahead, lengths[i]!)
  }
  let back = way
  for (let i = held; i > 0; i--) {
    back = rotated(back, -still[i - 1]!)
    shape[i - 1] = along(shape[i]!, back, -lengths[i - 1]!)
  }
  return shape
}

/** How a line turns at corners that lie as far along it as those of another, radians; the toe of both lies at the same corner. */
export function turnsAsOn(
  line: readonly Vec[],
  toe: number,
  other: readonly Vec[],
  otherToe: number,
): number[] {
  const own = stationsOf(piecesOf(other).lengths)
  const { lengths } = piecesOf(line)
  const stations = stationsOf(lengths)
  const directions = line.slice(1).map((point, i) => subtract(point, line[i]!))
  let last = 0
  const ways = directions.map(([x, y], i) => {
    const way = Math.atan2(y, x)
    last += i === 0 ? way : Math.atan2(Math.sin(way - last), Math.cos(way - last))
    return last
  })
  const middles = ways.map((_, i) => (stations[i]! + stations[i + 1]!) / 2 - toe)
  const at = own.slice(1).map((end, i) => figureAlong(middles, ways, (end + own[i]!) / 2 - otherToe))
  return at.slice(1).map((way, i) => way - at[i]!)
}

/** Along a line from its start to each of its points, mm. */
function stationsOf(lengths: readonly number[]): number[] {
  const stations = [0]
  for (const long of lengths) stations.push(stations[stations.length - 1]! + long)
  return stations
}
