import { tangent, type Curve } from './curve'
import { segmentAt } from './segment-at'
import { add, angleOf, cross, dot, scale, subtract, unit, type Vec } from './vector'

/**
 * A curve walked at close steps: points with their directions, and the arc length from the start to each.
 * Rims, centrelines and bars are tracks: quick to offset, to measure along and to draw.
 */
export interface Track {
  readonly points: readonly Vec[]
  /** Direction of travel at each point, of length 1. */
  readonly tangents: readonly Vec[]
  /** Arc length from the first point to each, in mm. */
  readonly stations: readonly number[]
}

/** A place on a track. */
export interface Place {
  point: Vec
  tangent: Vec
}

/**
 * A track from points and directions. Between two points the arc length is that of the cubic which leaves and
 * arrives in their directions, to fourth order in the angle turned between them.
 */
export function track(points: readonly Vec[], tangents: readonly Vec[]): Track {
  const stations = new Array<number>(points.length)
  stations[0] = 0
  for (let i = 1; i < points.length; i++) stations[i] = stations[i - 1]! + stepLength(points, tangents, i)
  return { points, tangents, stations }
}

/** Arc length from a point of a track to the next. Plain numbers, here and below: it runs at every point of every parallel. */
function stepLength(points: readonly Vec[], tangents: readonly Vec[], to: number): number {
  const a = points[to - 1]!
  const b = points[to]!
  const x = b[0] - a[0]
  const y = b[1] - a[1]
  if (x === 0 && y === 0) return 0
  const l = tangents[to - 1]!
  const r = tangents[to]!
  const leave = angleOf(x * l[1] - y * l[0], x * l[0] + y * l[1])
  const arrive = angleOf(x * r[1] - y * r[0], x * r[0] + y * r[1])
  const bow = (2 * leave * leave - leave * arrive + 2 * arrive * arrive) / 30
  return Math.sqrt(x * x + y * y) * (1 + bow)
}

/** Walks a curve with `steps` equal parameter steps on each smooth piece. */
export function trackCurve(curve: Curve, steps: number): Track {
  const parameters = [0]
  for (let i = 1; i < curve.breaks.length; i++) {
    const from = curve.breaks[i - 1]!
    const span = curve.breaks[i]! - from
    for (let j = 1; j <= steps; j++) parameters.push(from + (span * j) / steps)
  }
  return track(
    parameters.map((t) => curve.point(t)),
    parameters.map((t) => tangent(curve, t)),
  )
}

/** The whole arc length in mm. */
export const trackLength = (t: Track): number => t.stations[t.stations.length - 1] ?? 0

/** The point and direction at a station; before the start and behind the end the track goes on straight. */
export function placeAt(t: Track, station: number): Place {
  const last = t.points.length - 1
  const end = trackLength(t)
  if (station <= 0) return straightOn(t, 0, station)
  if (station >= end) return straightOn(t, last, station - end)
  const i = segmentAt(t.stations, station)
  const span = t.stations[i + 1]! - t.stations[i]!
  const u = span === 0 ? 0 : (station - t.stations[i]!) / span
  return hermite(t.points[i]!, t.tangents[i]!, t.points[i + 1]!, t.tangents[i + 1]!, span, u)
}

/** How far a point lies to the right of a place, square to its direction, mm: outside, for what is walked counter-clockwise. */
export const rightOf = ({ point, tangent }: Place, [x, y]: Vec): number =>
  (x - point[0]) * tangent[1] - (y - point[1]) * tangent[0]

/** How a track turns on the segment of a station, radians for a millimetre; plus to the left. */
function turnAt({ tangents, stations }: Track, station: number): number {
  const i = segmentAt(stations, station)
  const span = (stations[i + 1] ?? 0) - stations[i]!
  return span > 0 ? cross(tangents[i]!, tangents[i + 1]!) / span : 0
}

/** Near the middle about which a track turns every place is as near: no step is longer than so. */
const LEAST_SPREAD = 0.2

/** Places that are looked at first, to know how near is near. */
const LOOKS = 8

/**
 * The station of the point of the track nearest to `target`, in mm from the start. No place nearer than the best one can
 * lie within a walk that is shorter than what a place is further off than it: so far the walk skips.
 */
export function nearestStation(t: Track, target: Vec): number {
  const { points, stations } = t
  const last = points.length - 1
  const x = target[0]
  const y = target[1]
  let near = Infinity
  for (let k = 0; k <= LOOKS; k++) {
    const p = points[Math.round((last * k) / LOOKS)]!
    const gap = (p[0] - x) * (p[0] - x) + (p[1] - y) * (p[1] - y)
    if (gap < near) near = gap
  }
  // A hair more, or rounding would pass over the very place that was looked at.
  let least = near * (1 + 1e-9) + 1e-9
  let reach = Math.sqrt(least)
  let best = 0
  for (let i = 0; i < last; i++) {
    const a = points[i]!
    const aX = a[0] - x
    const aY = a[1] - y
    const skip = stations[i]! + Math.sqrt(aX * aX + aY * aY) - reach
    if (stations[i + 1]! < skip) {
      while (i + 1 < last && stations[i + 2]! < skip) i++
      continue
    }
    const b = points[i + 1]!
    const abX = b[0] - a[0]
    const abY = b[1] - a[1]
    const size = abX * abX + abY * abY
    const along = size === 0 ? 0 : -(aX * abX + aY * abY) / size
    const u = along < 0 ? 0 : along > 1 ? 1 : along
    const offX = aX + abX * u
    const offY = aY + abY * u
    const gap = offX * offX + offY * offY
    if (gap > least) continue
    least = gap
    reach = Math.sqrt(gap) + 1e-9
    best = stations[i]! + u * (stations[i + 1]! - stations[i]!)
  }
  // Two Newton steps along the curve take out what the straight chords left: a step is the longer on the ground the further
  // out the target lies from what turns away from it.
  for (let i = 0; i < 2; i++) {
    const place = placeAt(t, best)
    const ahead = dot(subtract(target, place.point), place.tangent)
    const spread = 1 + turnAt(t, best) * rightOf(place, target)
    best = Math.min(trackLength(t), Math.max(0, best + ahead / Math.max(LEAST_SPREAD, spread)))
  }
  return best
}

/** The part of a track between two stations; where they lie beyond its ends it goes on straight. */
export function sliceTrack(t: Track, from: number, to: number): Track {
  const first = placeAt(t, from)
  const last = placeAt(t, to)
  const points: Vec[] = [first.point]
  const tangents: Vec[] = [first.tangent]
  const stations = [0]
  for (let i = 0; i < t.points.length; i++) {
    const station = t.stations[i]!
    if (station <= from + 1e-9 || station >= to - 1e-9) continue
    points.push(t.points[i]!)
    tangents.push(t.tangents[i]!)
    stations.push(station - from)
  }
  points.push(last.point)
  tangents.push(last.tangent)
  stations.push(to - from)
  return { points, tangents, stations }
}

function straightOn(t: Track, i: number, beyond: number): Place {
  return { point: add(t.points[i]!, scale(t.tangents[i]!, beyond)), tangent: t.tangents[i]! }
}

function hermite(a: Vec, leave: Vec, b: Vec, arrive: Vec, span: number, u: number): Place {
  const u2 = u * u
  const u3 = u2 * u
  const [wa, wl, wb, wr] = [2 * u3 - 3 * u2 + 1, span * (u3 - 2 * u2 + u), 3 * u2 - 2 * u3, span * (u3 - u2)]
  const point: Vec = [
    wa * a[0] + wl * leave[0] + wb * b[0] + wr * arrive[0],
    wa * a[1] + wl * leave[1] + wb * b[1] + wr * arrive[1],
  ]
  if (span === 0) return { point, tangent: leave }
  const [da, dl, dr] = [(6 * u2 - 6 * u) / span, 3 * u2 - 4 * u + 1, 3 * u2 - 2 * u]
  const x = da * (a[0] - b[0]) + dl * leave[0] + dr * arrive[0]
  const y = da * (a[1] - b[1]) + dl * leave[1] + dr * arrive[1]
  return { point, tangent: unit([x, y]) }
}
