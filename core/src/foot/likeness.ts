import { track, type Track } from '../geometry/track'
import { mix, unit, subtract, type Vec } from '../geometry/vector'
import { stationsAlong } from '../geometry/walked'
import { compareOutlines, type RegionDifference } from './comparison'
import type { FootOutline } from './outline'

/** Places of an outline by which its shape is told. */
export const SHAPE_PLACES = 48

/**
 * The shape of an outline, wherever it lies: places at equal shares of its length from the lateral to the medial heel, about
 * their middle, x and y in turn, mm.
 */
export function shapeOf(points: readonly Vec[]): Float32Array {
  const stations = stationsAlong(points)
  const long = stations[stations.length - 1]!
  const shape = new Float32Array(2 * SHAPE_PLACES)
  // A record from elsewhere may hold no outline: like nothing, and no fault.
  if (points.length < 2) return shape
  let [sumX, sumY, next] = [0, 0, 1]
  for (let i = 0; i < SHAPE_PLACES; i++) {
    const at = (long * i) / (SHAPE_PLACES - 1)
    while (next < stations.length - 1 && stations[next]! < at) next++
    const [from, to] = [stations[next - 1]!, stations[next]!]
    const [x, y] = mix(points[next - 1]!, points[next]!, to > from ? (at - from) / (to - from) : 0)
    shape[2 * i] = x
    shape[2 * i + 1] = y
    sumX += x
    sumY += y
  }
  for (let i = 0; i < SHAPE_PLACES; i++) {
    shape[2 * i]! -= sumX / SHAPE_PLACES
    shape[2 * i + 1]! -= sumY / SHAPE_PLACES
  }
  return shape
}

/** How like two shapes are once one is turned onto the other. */
export interface Likeness {
  /** Root mean square distance of their places, mm. */
  distance: number
  /** The other lies nearer with inside and outside changed. */
  mirrored: boolean
}

/**
 * Turns a shape onto another, as it is or mirrored, whichever lies nearer (the turn of least squares in closed form).
 * Plain numbers: a library of patterns is gone through at once.
 *
 * @param from where the other shape begins in a list of many
 */
export function likeness(one: Float32Array, others: Float32Array, from = 0): Likeness {
  const n = 2 * SHAPE_PLACES
  let [squares, dot, turn, dotMirrored, turnMirrored] = [0, 0, 0, 0, 0]
  for (let i = 0; i < n; i += 2) {
    const [ax, ay] = [one[i]!, one[i + 1]!]
    const bx = others[from + i]!
    const by = others[from + i + 1]!
    squares += ax * ax + ay * ay + bx * bx + by * by
    dot += ax * bx + ay * by
    turn += ax * by - ay * bx
    // Mirrored, its other end is its first.
    const mx = -others[from + n - 2 - i]!
    const my = others[from + n - 1 - i]!
    dotMirrored += ax * mx + ay * my
    turnMirrored += ax * my - ay * mx
  }
  const left = (c: number, s: number) =>
    Math.sqrt(Math.max(0, squares - 2 * Math.sqrt(c * c + s * s)) / SHAPE_PLACES)
  const [straight, mirrored] = [left(dot, turn), left(dotMirrored, turnMirrored)]
  return mirrored < straight
    ? { distance: mirrored, mirrored: true }
    : { distance: straight, mirrored: false }
}

/** A shape that was found: where it stands in its list, and how like it is. */
export interface FoundShape extends Likeness {
  at: number
}

/** The nearest of many shapes that lie one behind the other in a list, the nearest first. */
export function nearestShapes(one: Float32Array, others: Float32Array, limit: number): FoundShape[] {
  const count = others.length / (2 * SHAPE_PLACES)
  const nearest: FoundShape[] = []
  for (let at = 0; at < count; at++) {
    const found = likeness(one, others, at * 2 * SHAPE_PLACES)
    const last = nearest[nearest.length - 1]
    if (nearest.length === limit && last && found.distance >= last.distance) continue
    let place = nearest.length
    while (place > 0 && nearest[place - 1]!.distance > found.distance) place--
    nearest.splice(place, 0, { at, ...found })
    if (nearest.length > limit) nearest.pop()
  }
  return nearest
}

/**
 * How far a foot stands outside another outline, region by region, once that is turned onto it.
 *
 * @param points of the other outline, from the lateral to the medial heel, mm
 */
export function differencesByRegion(
  foot: FootOutline,
  points: readonly Vec[],
  mirrored: boolean,
): RegionDifference[] {
  const other = mirrored ? points.map(([x, y]): Vec => [-x, y]).reverse() : points
  const [one, two] = [shapeOf(foot.track.points), shapeOf(other)]
  let [dot, turn] = [0, 0]
  for (let i = 0; i < one.length; i += 2) {
    dot += one[i]! * two[i]! + one[i + 1]! * two[i + 1]!
    turn += two[i]! * one[i + 1]! - two[i + 1]! * one[i]!
  }
  const by = Math.atan2(turn, dot)
  const [from, to] = [middleOf(other), middleOf(foot.track.points)]
  const [cos, sin] = [Math.cos(by), Math.sin(by)]
  const laid = other.map(([x, y]): Vec => {
    const [dx, dy] = [x - from[0], y - from[1]]
    return [to[0] + dx * cos - dy * sin, to[1] + dx * sin + dy * cos]
  })
  return compareOutlines(foot, { ...foot, track: walked(laid) })
}

/** The middle of an outline's places, as its shape has it. */
function middleOf(points: readonly Vec[]): Vec {
  const shape = shapeOf(points)
  // What the shape was moved by is told by its first place, which is the outline's.
  return [points[0]![0] - shape[0]!, points[0]![1] - shape[1]!]
}

/** A line through points as a track: each point's direction is that of its neighbours. */
const walked = (points: readonly Vec[]): Track =>
  track(
    points,
    points.map((_, i) =>
      unit(subtract(points[Math.min(points.length - 1, i + 1)]!, points[Math.max(0, i - 1)]!)),
    ),
  )
