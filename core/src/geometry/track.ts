import { tangent, type Curve } from './curve'
import { add, cross, dot, magnitude, mix, scale, subtract, unit, type Vec } from './vector'

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
  const stations = [0]
  for (let i = 1; i < points.length; i++) {
    const chord = subtract(points[i]!, points[i - 1]!)
    const leave = angleBetween(chord, tangents[i - 1]!)
    const arrive = angleBetween(chord, tangents[i]!)
    const bow = (2 * leave * leave - leave * arrive + 2 * arrive * arrive) / 30
    stations.push(stations[i - 1]! + magnitude(chord) * (1 + bow))
  }
  return { points, tangents, stations }
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
  const i = segmentAt(t, station)
  const span = t.stations[i + 1]! - t.stations[i]!
  const u = span === 0 ? 0 : (station - t.stations[i]!) / span
  return hermite(t.points[i]!, t.tangents[i]!, t.points[i + 1]!, t.tangents[i + 1]!, span, u)
}

/** The station of the point of the track nearest to `target`, in mm from the start. */
export function nearestStation(t: Track, target: Vec): number {
  let best = 0
  let least = Infinity
  for (let i = 0; i + 1 < t.points.length; i++) {
    const a = t.points[i]!
    const b = t.points[i + 1]!
    const ab = subtract(b, a)
    const size = dot(ab, ab)
    const u = size === 0 ? 0 : Math.min(1, Math.max(0, dot(subtract(target, a), ab) / size))
    const p = mix(a, b, u)
    const gap = (p[0] - target[0]) ** 2 + (p[1] - target[1]) ** 2
    if (gap >= least) continue
    least = gap
    best = t.stations[i]! + u * (t.stations[i + 1]! - t.stations[i]!)
  }
  // Two Newton steps along the curve take out what the straight chords left.
  for (let i = 0; i < 2; i++) {
    const place = placeAt(t, best)
    best = Math.min(trackLength(t), Math.max(0, best + dot(subtract(target, place.point), place.tangent)))
  }
  return best
}

/** The part of a track between two stations; where they lie beyond its ends it goes on straight. */
export function sliceTrack(t: Track, from: number, to: number): Track {
  const first = placeAt(t, from)
  const last = placeAt(t, to)
  const inner = t.stations
    .map((s, i) => ({ s, i }))
    .filter(({ s }) => s > from + 1e-9 && s < to - 1e-9)
    .map(({ i }) => i)
  return track(
    [first.point, ...inner.map((i) => t.points[i]!), last.point],
    [first.tangent, ...inner.map((i) => t.tangents[i]!), last.tangent],
  )
}

/** Index of the segment that holds the station, by halving. */
function segmentAt(t: Track, station: number): number {
  let low = 0
  let high = t.stations.length - 1
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (t.stations[middle]! <= station) low = middle
    else high = middle
  }
  return low
}

function straightOn(t: Track, i: number, beyond: number): Place {
  return { point: add(t.points[i]!, scale(t.tangents[i]!, beyond)), tangent: t.tangents[i]! }
}

function hermite(a: Vec, leave: Vec, b: Vec, arrive: Vec, span: number, u: number): Place {
  const u2 = u * u
  const u3 = u2 * u
  const blend = (wa: number, wl: number, wb: number, wr: number): Vec => [
    wa * a[0] + wl * leave[0] + wb * b[0] + wr * arrive[0],
    wa * a[1] + wl * leave[1] + wb * b[1] + wr * arrive[1],
  ]
  return {
    point: blend(2 * u3 - 3 * u2 + 1, span * (u3 - 2 * u2 + u), 3 * u2 - 2 * u3, span * (u3 - u2)),
    tangent: unit(
      span === 0
        ? leave
        : blend((6 * u2 - 6 * u) / span, 3 * u2 - 4 * u + 1, (6 * u - 6 * u2) / span, 3 * u2 - 2 * u),
    ),
  }
}

const angleBetween = (a: Vec, b: Vec): number =>
  a[0] === 0 && a[1] === 0 ? 0 : Math.atan2(cross(a, b), dot(a, b))
