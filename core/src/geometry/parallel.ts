import { selfCrossings, type Crossing } from './crossings'
import { placeAt, track, trackLength, type Track } from './track'
import { cross, distance, dot, scale, turnRight, unit, add, type Vec } from './vector'

/** How far to the right of the direction of travel the parallel lies, at each station in mm. */
export type Reach = (station: number) => number

/**
 * The curve that runs beside a track at a distance that may vary along it. Positive is to the right of travel:
 * outward for a foot, which runs counter-clockwise from its lateral to its medial heel.
 *
 * Where the parallel would fold over itself (the reach is longer than the inner radius, or two branches meet) the
 * folds are cut off at the crossing, as a cutter of that radius would leave them.
 *
 * @param reach mm, constant or by station
 * @returns an empty track when nothing of the parallel is left
 */
export function parallel(source: Track, reach: number | Reach): Track {
  const raw = rawParallel(source, reach)
  const crossings = selfCrossings(raw.points)
  const folded = raw.tangents.some((t, i) => dot(t, source.tangents[i]!) < 0)
  if (crossings.length === 0 && !folded) return raw
  return withoutFolds(raw, crossings, source, reach)
}

/** Point for point, folds and all. The direction follows from the source's curvature and the change of reach. */
export function rawParallel(source: Track, reach: number | Reach): Track {
  const reachAt = typeof reach === 'number' ? () => reach : reach
  const { points, tangents, stations } = source
  const last = points.length - 1
  const reaches = stations.map(reachAt)
  const newPoints: Vec[] = []
  const newTangents: Vec[] = []
  for (let i = 0; i <= last; i++) {
    const t = tangents[i]!
    const out = turnRight(t)
    newPoints.push(add(points[i]!, scale(out, reaches[i]!)))
    const before = Math.max(0, i - 1)
    const after = Math.min(last, i + 1)
    const run = stations[after]! - stations[before]!
    const bend = run === 0 ? 0 : turned(tangents[before]!, tangents[after]!) / run
    const slope = run === 0 ? 0 : (reaches[after]! - reaches[before]!) / run
    newTangents.push(unit(add(scale(t, 1 + bend * reaches[i]!), scale(out, slope))))
  }
  return track(newPoints, newTangents)
}

/**
 * Cuts the raw parallel at its crossings and keeps the pieces that lie as far from the source as they should:
 * a piece nearer than its reach lies on a fold.
 */
function withoutFolds(raw: Track, crossings: Crossing[], source: Track, reach: number | Reach): Track {
  const cuts = crossings
    .flatMap(({ i, j, u, v, point }) => [
      { at: i + u, point },
      { at: j + v, point },
    ])
    .sort((a, b) => a.at - b.at)
  const ends = [{ at: 0, point: raw.points[0]! }, ...cuts]
  ends.push({ at: raw.points.length - 1, point: raw.points[raw.points.length - 1]! })

  const points: Vec[] = []
  const tangents: Vec[] = []
  for (let k = 0; k + 1 < ends.length; k++) {
    const from = ends[k]!
    const to = ends[k + 1]!
    if (to.at - from.at < 1e-9) continue
    const indices: number[] = []
    for (let i = Math.floor(from.at) + 1; i < to.at; i++) indices.push(i)
    const middle = pointAtIndex(raw, (from.at + to.at) / 2)
    if (!isClear(middle, source, reach)) continue
    points.push(from.point, ...indices.map((i) => raw.points[i]!), to.point)
    tangents.push(
      tangentAtIndex(raw, from.at),
      ...indices.map((i) => raw.tangents[i]!),
      tangentAtIndex(raw, to.at),
    )
  }
  return track(points, tangents)
}

function isClear(point: Vec, source: Track, reach: number | Reach): boolean {
  const reachAt = typeof reach === 'number' ? () => reach : reach
  const tolerance = 1e-3
  const end = trackLength(source)
  for (let i = 0; i < source.points.length; i++) {
    const needed = Math.abs(reachAt(source.stations[i]!))
    if (distance(point, source.points[i]!) < needed - tolerance) return false
  }
  // The samples lie a step apart; look between them too where the gap is close.
  for (let s = 0; s < end; s += end / (4 * source.points.length)) {
    if (distance(point, placeAt(source, s).point) < Math.abs(reachAt(s)) - tolerance) return false
  }
  return true
}

const pointAtIndex = (t: Track, index: number): Vec => {
  const i = Math.min(t.points.length - 2, Math.floor(index))
  const u = index - i
  const a = t.points[i]!
  const b = t.points[i + 1]!
  return [a[0] + (b[0] - a[0]) * u, a[1] + (b[1] - a[1]) * u]
}

const tangentAtIndex = (t: Track, index: number): Vec => {
  const i = Math.min(t.points.length - 2, Math.floor(index))
  const u = index - i
  return unit(add(scale(t.tangents[i]!, 1 - u), scale(t.tangents[i + 1]!, u)))
}

const turned = (a: Vec, b: Vec): number => Math.atan2(cross(a, b), dot(a, b))
