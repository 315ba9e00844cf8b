import { selfCrossings, type Crossing } from './crossings'
import { track, type Track } from './track'
import { add, angleOf, cross, distance, dot, mix, scale, subtract, unit, type Vec } from './vector'

/** How far to the right of the direction of travel the parallel lies, at each station in mm. */
export type Reach = (station: number) => number

/** A parallel that knows which place of its source each of its points lies beside: an index, with a share between two. */
export interface Parallel extends Track {
  readonly beside: readonly number[]
}

/**
 * The curve that runs beside a track at a distance that may vary along it. Positive is to the right of travel:
 * outward for a foot, which runs counter-clockwise from its lateral to its medial heel.
 *
 * Where the parallel would fold over itself (the reach is longer than the inner radius, or two branches meet) the
 * folds are cut off at the crossing, as a cutter of that radius would leave them. Between two crossings a piece is
 * kept or dropped as a whole.
 *
 * @param reach mm, constant or by station
 * @returns an empty track when nothing of the parallel is left
 */
export function parallel(source: Track, reach: number | Reach): Parallel {
  const raw = rawParallel(source, reach)
  const crossings = selfCrossings(raw.points)
  if (crossings.length === 0 && !isFolded(raw, source)) return { ...raw, beside: countTo(raw.points.length) }
  return withoutFolds(raw, crossings, source)
}

const countTo = (n: number): number[] => {
  const list = new Array<number>(n)
  for (let i = 0; i < n; i++) list[i] = i
  return list
}

const isFolded = (raw: Track, source: Track): boolean => {
  for (let i = 0; i < raw.tangents.length; i++)
    if (dot(raw.tangents[i]!, source.tangents[i]!) < 0) return true
  return false
}

/** Point for point, folds and all. The direction follows from the source's curvature and the change of reach. */
export function rawParallel(source: Track, reach: number | Reach): Track {
  const { points, tangents, stations } = source
  const last = points.length - 1
  const reaches = typeof reach === 'number' ? undefined : stations.map(reach)
  const newPoints: Vec[] = []
  const newTangents: Vec[] = []
  for (let i = 0; i <= last; i++) {
    const t = tangents[i]!
    const x = t[0]
    const y = t[1]
    const out = reaches ? reaches[i]! : (reach as number)
    const p = points[i]!
    newPoints.push([p[0] + y * out, p[1] - x * out])
    const before = i === 0 ? 0 : i - 1
    const after = i === last ? i : i + 1
    const run = stations[after]! - stations[before]!
    if (run === 0) {
      newTangents.push(t)
      continue
    }
    const b = tangents[before]!
    const a = tangents[after]!
    const on = 1 + (angleOf(b[0] * a[1] - b[1] * a[0], b[0] * a[0] + b[1] * a[1]) / run) * out
    const slope = reaches ? (reaches[after]! - reaches[before]!) / run : 0
    const wayX = x * on + y * slope
    const wayY = y * on - x * slope
    const long = Math.sqrt(wayX * wayX + wayY * wayY)
    newTangents.push(long === 0 ? [0, 0] : [wayX / long, wayY / long])
  }
  return track(newPoints, newTangents)
}

/**
 * Cuts the raw parallel at its crossings and keeps the pieces that bound what the source bounds: inside on the same
 * side, outside on the other, as counted by how often the whole raw line winds round either side of the piece. A fold
 * winds the wrong way round. A line moved past its own middle winds the right way again, but runs against its source.
 */
function withoutFolds(raw: Track, crossings: Crossing[], source: Track): Parallel {
  const cuts = crossings
    .flatMap(({ i, j, u, v, point }) => [
      { at: i + u, point },
      { at: j + v, point },
    ])
    .sort((a, b) => a.at - b.at)
  const { first, last } = withoutHooks(raw, source, cuts)
  if (last <= first) return { ...track([], []), beside: [] }
  const kept = raw.points.slice(first, last + 1)
  const ends = [{ at: first, point: raw.points[first]! }, ...cuts, { at: last, point: raw.points[last]! }]
  // Left of the line lies what a source bounds that runs counter-clockwise; right of it, where it runs clockwise.
  const inside = turningOf(source.points) > 0 ? { left: 1, right: 0 } : { left: 0, right: -1 }

  const points: Vec[] = []
  const tangents: Vec[] = []
  const beside: number[] = []
  for (let k = 0; k + 1 < ends.length; k++) {
    const from = ends[k]!
    const to = ends[k + 1]!
    if (to.at - from.at < 1e-9) continue
    const indices: number[] = []
    for (let i = Math.floor(from.at) + 1; i < to.at; i++) indices.push(i)
    const piece = [from.point, ...indices.map((i) => raw.points[i]!), to.point]
    const places = [from.at, ...indices, to.at]
    if (!runsWith(piece, places, source)) continue
    const longest = longestSegment(piece)
    const segment = Math.min(last - 1, Math.floor((places[longest]! + places[longest + 1]!) / 2)) - first
    const right = windingRightOf(kept, segment, mix(piece[longest]!, piece[longest + 1]!, 0.5))
    if (right !== inside.right || right + 1 !== inside.left) continue
    points.push(...piece)
    tangents.push(
      tangentAtIndex(raw, from.at),
      ...indices.map((i) => raw.tangents[i]!),
      tangentAtIndex(raw, to.at),
    )
    beside.push(...places)
  }
  return { ...track(points, tangents), beside }
}

/**
 * A fold at an end of the line that crosses nothing: the line ends where it turns back on its source. One that crosses is
 * cut off there.
 *
 * @returns the first and the last of its points that are left
 */
function withoutHooks(
  raw: Track,
  source: Track,
  cuts: readonly { at: number }[],
): { first: number; last: number } {
  const runsOn = (i: number) =>
    dot(subtract(raw.points[i + 1]!, raw.points[i]!), tangentAtIndex(source, i + 0.5)) > 0
  const end = raw.points.length - 1
  let [first, last] = [0, end]
  while (first < end && !runsOn(first)) first++
  while (last > first && !runsOn(last - 1)) last--
  return {
    first: cuts.some(({ at }) => at < first) ? 0 : first,
    last: cuts.some(({ at }) => at > last) ? end : last,
  }
}

/** Whether a piece of the parallel runs the way its source does, on the whole. */
function runsWith(piece: readonly Vec[], places: readonly number[], source: Track): boolean {
  let along = 0
  for (let i = 0; i + 1 < piece.length; i++) {
    const way = tangentAtIndex(source, (places[i]! + places[i + 1]!) / 2)
    along += dot(subtract(piece[i + 1]!, piece[i]!), way)
  }
  return along > 0
}

const longestSegment = (piece: readonly Vec[]): number => {
  let longest = 0
  for (let i = 1; i + 1 < piece.length; i++)
    if (distance(piece[i]!, piece[i + 1]!) > distance(piece[longest]!, piece[longest + 1]!)) longest = i
  return longest
}

/** How often a line, closed from its end to its start, winds round the place just right of one of its own segments. */
function windingRightOf(points: readonly Vec[], segment: number, middle: Vec): number {
  const way = subtract(points[segment + 1]!, points[segment]!)
  // A ray from the segment to its right, in a frame whose second axis runs along the segment.
  const across = (p: Vec) => cross(subtract(p, middle), way)
  const along = (p: Vec) => dot(subtract(p, middle), way)
  let winding = 0
  for (let i = 0; i < points.length; i++) {
    if (i === segment) continue
    const a = points[i]!
    const b = points[(i + 1) % points.length]!
    const [fromAlong, toAlong] = [along(a), along(b)]
    if (fromAlong < 0 === toAlong < 0) continue
    const share = fromAlong / (fromAlong - toAlong)
    const hit = across(a) + (across(b) - across(a)) * share
    if (hit > 0) winding += toAlong > fromAlong ? 1 : -1
  }
  return winding
}

/** More than 0 where a line, closed from its end to its start, runs counter-clockwise. */
const turningOf = (points: readonly Vec[]): number =>
  points.reduce((sum, point, i) => sum + cross(point, points[(i + 1) % points.length]!), 0)

const tangentAtIndex = (t: Track, index: number): Vec => {
  const i = Math.min(t.points.length - 2, Math.floor(index))
  const u = index - i
  return unit(add(scale(t.tangents[i]!, 1 - u), scale(t.tangents[i + 1]!, u)))
}
