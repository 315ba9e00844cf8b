import { Matrix, solve } from 'ml-matrix'
import { distance, type Vec } from '../geometry/vector'
import { centrelineOf } from './centreline'

/** Points this near along the line steady each other, mm; fewer than these are taken as they are. */
const REACH = 12
const LEAST = 6

/**
 * How far along the bar each point lies, mm. Points that were measured jump to and fro: a line from one to the next is
 * longer than the bar, and the more so the closer they are. Each is first drawn to a curve of the second order through
 * its neighbours, which leaves points without noise where they are.
 */
export function walkedStations(points: readonly Vec[]): number[] {
  const raw = centrelineOf(points).stations
  const steady = points.map((point, i) => {
    const near = points.flatMap((_, k) => (Math.abs(raw[k]! - raw[i]!) <= REACH ? [k] : []))
    return near.length < LEAST ? point : throughNeighbours(points, raw, near, raw[i]!)
  })
  const stations = [0]
  for (let i = 1; i < steady.length; i++)
    stations.push(stations[i - 1]! + distance(steady[i - 1]!, steady[i]!))
  return stations
}

/** The place at a station of the curve of second order that lies best through some points. */
function throughNeighbours(
  points: readonly Vec[],
  stations: readonly number[],
  near: readonly number[],
  at: number,
): Vec {
  const powers = new Matrix(near.map((k) => [1, stations[k]! - at, (stations[k]! - at) ** 2]))
  const placed = solve(powers, new Matrix(near.map((k) => [...points[k]!])))
  return [placed.get(0, 0), placed.get(0, 1)]
}
