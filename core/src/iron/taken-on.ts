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

/** What a line on its way to its final shape is made of. */
export interface OnItsWay {
  /** Its final turn at each corner, radians; those of the line itself where it is not said. */
  turns?: readonly number[]
  /** How it turned at each corner before, radians: nothing for a straight bar. */
  before?: readonly number[]
  /** How long its pieces are where they are bent and where not yet, mm; as in the line itself where it is not said. */
  lengths?: { bent: readonly number[]; straight: readonly number[] }
}

/**
 * A line on its way to its final shape: its turns are taken on from the middle of the toe outward as far as told, beyond
 * that it still runs as before.
 *
 * @param points of the final shape, walked from the lateral to the medial heel, mm
 * @param toe the middle of the toe along it, mm; there the line keeps its place and direction
 */
export function takenOn(
  points: readonly Vec[],
  toe: number,
  reach: Reach,
  way: OnItsWay = {},
): readonly Vec[] {
  const own = piecesOf(points)
  const stations = stationsOf(own.lengths)
  const near = (off: number) => (off < 0 ? -off <= reach.lateral : off <= reach.medial)
  const turns = (way.turns ?? own.turns).map((turn, i) =>
    near(stations[i + 1]! - toe) ? turn : (way.before?.[i] ?? 0),
  )
  const lengths = own.lengths.map((long, i) =>
    way.lengths
      ? (near((stations[i]! + stations[i + 1]!) / 2 - toe) ? way.lengths.bent : way.lengths.straight)[i]!
      : long,
  )
  // What is as it shall be stays to the last digit.
  if (turns.every((turn, i) => turn === own.turns[i]) && lengths.every((long, i) => long === own.lengths[i]))
    return points
  const held = Math.max(0, stations.findIndex((station) => station > toe) - 1)
  const [from, to] = [points[held]!, points[held + 1]!]
  const ahead = unit(subtract(to, from))
  // The toe keeps its place within the piece that holds it.
  const share = Math.min(1, Math.max(0, (toe - stations[held]!) / own.lengths[held]!))
  const grown = lengths[held]! - own.lengths[held]!
  const shape = [...points]
  shape[held] = along(from, ahead, -share * grown)
  shape[held + 1] = along(to, ahead, (1 - share) * grown)
  let onward = ahead
  for (let i = held + 1; i + 1 < points.length; i++) {
    onward = rotated(onward, turns[i - 1]!)
    shape[i + 1] = along(shape[i]!, onward, lengths[i]!)
  }
  let back = ahead
  for (let i = held; i > 0; i--) {
    back = rotated(back, -turns[i - 1]!)
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
