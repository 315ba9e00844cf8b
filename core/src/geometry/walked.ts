import { segmentAt } from './segment-at'
import { distance, mix, type Vec } from './vector'

/** How far along a line through points each of them lies, mm. */
export function stationsAlong(points: readonly Vec[]): number[] {
  const stations = points.length > 0 ? [0] : []
  for (let i = 1; i < points.length; i++)
    stations.push(stations[i - 1]! + distance(points[i - 1]!, points[i]!))
  return stations
}

/** How long a line through points is, mm. */
export const lengthAlong = (points: readonly Vec[]): number => stationsAlong(points)[points.length - 1] ?? 0

/** The place at a station of a line through points; its ends beyond them. */
export function pointAlong(
  points: readonly Vec[],
  station: number,
  stations: readonly number[] = stationsAlong(points),
): Vec {
  if (points.length < 2) return points[0] ?? [0, 0]
  const i = segmentAt(stations, station)
  const span = stations[i + 1]! - stations[i]!
  const share = span > 0 ? (station - stations[i]!) / span : 0
  return mix(points[i]!, points[i + 1]!, Math.min(1, Math.max(0, share)))
}

/** The station of the place of a line that lies nearest to a point, mm, and how far it is off. */
export function nearestAlong(
  points: readonly Vec[],
  [x, y]: Vec,
  stations: readonly number[] = stationsAlong(points),
): { station: number; off: number } {
  let least = Infinity
  let station = 0
  for (let i = 1; i < points.length; i++) {
    const from = points[i - 1]!
    const to = points[i]!
    const dx = to[0] - from[0]
    const dy = to[1] - from[1]
    const size = dx * dx + dy * dy
    const along = size === 0 ? 0 : Math.min(1, Math.max(0, ((x - from[0]) * dx + (y - from[1]) * dy) / size))
    const u = x - from[0] - along * dx
    const v = y - from[1] - along * dy
    const off = u * u + v * v
    if (off < least) {
      least = off
      station = stations[i - 1]! + along * Math.sqrt(size)
    }
  }
  return { station, off: Math.sqrt(least) }
}
