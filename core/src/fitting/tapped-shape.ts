import { ease } from '../geometry/ease'
import type { Vec } from '../geometry/vector'
import { byHalf, HALVES, type Half } from '../terms/half'
import { branchLength, handedness, pointAt, stationOf, type Centreline } from './centreline'

/** Places a farrier looks at when he holds a shoe to the foot, by the share of the branch ahead of them, toe to heel. */
export const TRY_PLACES = [
  { key: 'toe quarter', share: 0.3 },
  { key: 'quarter', share: 0.62 },
  { key: 'heel', share: 1 },
] as const
export type TryPlace = (typeof TRY_PLACES)[number]['key']

/** Where a shoe is wide (plus) or tight (minus) of its pattern, by how much, mm. */
export interface SeenOff {
  branch: Half
  place: TryPlace
  by: number
}

/** A place on a branch of the pattern, and which way is outward there. */
export interface PlaceOnPattern {
  branch: Half
  place: TryPlace
  point: Vec
  /** Of length 1. */
  outward: Vec
}

/** Where the places lie that are looked at: a heel is told of a little before its end, where a thumb finds it. */
export const placesOnPattern = (pattern: Centreline): PlaceOnPattern[] =>
  HALVES.flatMap((branch) =>
    TRY_PLACES.map(({ key, share }): PlaceOnPattern => {
      const station = stationOf(pattern, branch, branchLength(pattern, branch) * Math.min(0.94, share))
      const [before, after] = [pointAt(pattern, station - 1), pointAt(pattern, station + 1)]
      const [x, y] = [after[0] - before[0], after[1] - before[1]]
      const long = Math.hypot(x, y) || 1
      const sign = handedness(pattern.points)
      // Outward is to the right of the walk from the lateral to the medial heel.
      return {
        ...{ branch, place: key, point: pointAt(pattern, station) },
        outward: [(sign * y) / long, (-sign * x) / long],
      }
    }),
  )

/**
 * The shape of a shoe that was held to the foot: its pattern, moved outward where it was seen wide and inward where tight,
 * with an even run between the places; the middle of the toe is where it should be. Places nobody spoke of are right.
 */
export function tappedShape(pattern: Centreline, seen: readonly SeenOff[]): Vec[] {
  const sign = handedness(pattern.points)
  const known = byHalf((branch) => [
    { share: 0, by: 0 },
    ...TRY_PLACES.map(({ key, share }) => ({
      share,
      by: seen.find((one) => one.branch === branch && one.place === key)?.by ?? 0,
    })),
  ])
  return pattern.points.map((point, i): Vec => {
    const off = pattern.stations[i]! - pattern.toe
    const branch: Half = off < 0 ? 'lateral' : 'medial'
    const by = between(known[branch], Math.abs(off) / branchLength(pattern, branch))
    const before = pattern.points[Math.max(0, i - 1)]!
    const after = pattern.points[Math.min(pattern.points.length - 1, i + 1)]!
    const [x, y] = [after[0] - before[0], after[1] - before[1]]
    const long = Math.hypot(x, y) || 1
    // Outward is to the right of the walk from the lateral to the medial heel.
    return [point[0] + (sign * by * y) / long, point[1] - (sign * by * x) / long]
  })
}

function between(stops: readonly { share: number; by: number }[], share: number): number {
  const next = stops.findIndex((one) => one.share >= share)
  if (next <= 0) return stops[next === 0 ? 0 : stops.length - 1]!.by
  const [from, to] = [stops[next - 1]!, stops[next]!]
  return from.by + (to.by - from.by) * ease((share - from.share) / (to.share - from.share))
}
