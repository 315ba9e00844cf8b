import { parallel } from '../geometry/parallel'
import { placeAt, trackLength, type Track } from '../geometry/track'
import { along, turnRight, type Vec } from '../geometry/vector'
import type { Rims } from '../shoe/rims'
import type { Half } from '../terms/half'
import { cornerRound } from './corner-round'

/** What is joined to a branch begins so far before its end, mm. */
const INTO_BRANCH = 3

/** A piece of bar seen from below: its own edge, and one that reaches into the branches, closed. */
export interface RunOutline {
  edge: Vec[]
  outline: Vec[]
}

/**
 * The piece of bar along a run that closes the shoe behind its heels. Where the run turns so tightly that its inner side
 * would meet the branch in a corner, the corner is filled to a round.
 *
 * @param width of the bar, mm
 */
export function besideRun(rims: Rims, run: Track, width: number): RunOutline {
  const inner = parallel(run, width / 2)
  const outer = parallel(run, -width / 2).points
  let lateral = cornerRound(rims, run, width, 'lateral')
  let medial = cornerRound(rims, run, width, 'medial')
  // Rounds that would run into one another leave the opening to the run itself.
  if (lateral && medial && lateral.reaches >= medial.reaches) lateral = medial = undefined
  const [from, to] = [lateral?.reaches ?? -Infinity, medial?.reaches ?? Infinity]
  const between = inner.points.filter((_, i) => {
    const station = stationOf(run, inner.beside[i]!)
    return station > from && station < to
  })
  const opening = [...(lateral?.round ?? []), ...between, ...(medial?.round.slice().reverse() ?? [])]
  const closed = (before: readonly Vec[], after: readonly Vec[]): Vec[] => [
    ...outer,
    ...after,
    ...opening.slice().reverse(),
    ...before.slice().reverse(),
  ]
  // Not along the branch's own lines: two that are one would leave slits between them.
  const joined = (branch: Half, round: typeof lateral) =>
    round ? [inBranch(rims, branch), round.lead] : [inBranch(rims, branch)]
  return {
    edge: closed(lateral?.rim ?? [], medial?.rim ?? []),
    outline: closed(joined('lateral', lateral), joined('medial', medial)),
  }
}

/** In the middle of a branch, before its end. */
function inBranch({ centreline }: Rims, branch: Half): Vec {
  const station = branch === 'lateral' ? INTO_BRANCH : trackLength(centreline) - INTO_BRANCH
  return placeAt(centreline, station).point
}

/** The station of a track at an index, or at a share between two. */
function stationOf({ stations }: Track, at: number): number {
  const i = Math.min(stations.length - 2, Math.floor(at))
  return stations[i]! + (stations[i + 1]! - stations[i]!) * (at - i)
}

/** Where both ends of a run are scarfed and welded: square across its middle. */
export function weldOf(run: Track, width: number): Vec[] {
  const { point, tangent } = placeAt(run, trackLength(run) / 2)
  const out = turnRight(tangent)
  return [along(point, out, width / 2), along(point, out, -width / 2)]
}
