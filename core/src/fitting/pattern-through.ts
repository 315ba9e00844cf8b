import { blended } from '../geometry/blended'
import { add, distance, rotated, scale, subtract, turnRight, unit, type Vec } from '../geometry/vector'
import { lengthAlong, nearestAlong, pointAlong, stationsAlong } from '../geometry/walked'
import { farApart, STEP } from './through-points'

/** Points further off the pattern than this are of another shape, mm. */
const ANOTHER_SHAPE = 15
/** No pencil draws nearer to a line, mm. */
const ON_IT = 0.3
/** Points follow one another along the pattern by at least this, mm. */
const ONWARD = 0.5
const ROUNDS = 20

/**
 * The line of a shoe by a few points of it, where its pattern is known: the pattern itself, drawn aside as far as each point
 * lies off it and between two points by what lies between. Points on the pattern are the pattern.
 *
 * @param points from the lateral to the medial heel, in a frame of their own, mm
 * @returns in the same frame; nothing where they are a line by themselves that is another, or far from the pattern
 */
export function patternThrough(points: readonly Vec[], pattern: readonly Vec[]): readonly Vec[] | undefined {
  if (points.length < 4) return undefined
  const stations = stationsAlong(pattern)
  const whole = stations[stations.length - 1]!
  const own = stationsAlong(points)
  const shares = own.map((station) => station / own[own.length - 1]!)
  let beside = shares.map((share) => pointAlong(pattern, share * whole, stations))
  let move = rigid(points, beside)
  for (let i = 0; i < ROUNDS; i++) {
    beside = points.map((point) =>
      pointAlong(pattern, nearestAlong(pattern, move.on(point), stations).station, stations),
    )
    move = rigid(points, beside)
  }
  const laid = points.map(move.on)
  const at = laid.map((point) => nearestAlong(pattern, point, stations).station)
  if (at.some((station, i) => i > 0 && station - at[i - 1]! < ONWARD)) return undefined
  const offs = laid.map((point, i) => {
    const off = subtract(point, pointAlong(pattern, at[i]!, stations))
    const out = turnRight(wayAt(pattern, stations, at[i]!))
    return off[0] * out[0] + off[1] * out[1]
  })
  // Points that are a line by themselves are taken as they are, unless it is this one.
  const most = farApart(points) ? ANOTHER_SHAPE : ON_IT
  if (offs.some((off) => Math.abs(off) > most)) return undefined
  const aside = blended(at.map((station, i) => [station, offs[i]!] as const))
  const [from, to] = [at[0]!, at[at.length - 1]!]
  const count = Math.ceil((to - from) / STEP)
  const along = Array.from({ length: count + 1 }, (_, i): Vec => {
    const station = from + ((to - from) * i) / count
    const out = turnRight(wayAt(pattern, stations, station))
    return add(pointAlong(pattern, station, stations), scale(out, aside(station)))
  })
  // What reaches beyond the pattern's ends goes straight on to where it was told.
  const ends = [laid[0]!, laid[laid.length - 1]!]
  if (distance(ends[0]!, along[0]!) > ONWARD) along.unshift(ends[0]!)
  if (distance(ends[1]!, along[along.length - 1]!) > ONWARD) along.push(ends[1]!)
  return lengthAlong(along) > 0 ? along.map(move.back) : undefined
}

/** Which way a line runs at a station. */
function wayAt(points: readonly Vec[], stations: readonly number[], station: number): Vec {
  const [low, high] = [Math.max(0, station - 1), Math.min(stations[stations.length - 1]!, station + 1)]
  return unit(subtract(pointAlong(points, high, stations), pointAlong(points, low, stations)))
}

/** The turn and the shift that lay points on others best, by least squares (Procrustes, from memory). */
function rigid(points: readonly Vec[], others: readonly Vec[]) {
  const [from, to] = [middleOf(points), middleOf(others)]
  let sine = 0
  let cosine = 0
  points.forEach((point, i) => {
    const [a, b] = [subtract(point, from), subtract(others[i]!, to)]
    cosine += a[0] * b[0] + a[1] * b[1]
    sine += a[0] * b[1] - a[1] * b[0]
  })
  const turn = Math.atan2(sine, cosine)
  return {
    on: (point: Vec): Vec => add(rotated(subtract(point, from), turn), to),
    back: (point: Vec): Vec => add(rotated(subtract(point, to), -turn), from),
  }
}

const middleOf = (points: readonly Vec[]): Vec =>
  scale(
    points.reduce((sum, point) => add(sum, point), [0, 0] as Vec),
    1 / points.length,
  )
