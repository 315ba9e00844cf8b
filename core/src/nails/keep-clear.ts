import type { Foot } from '../foot/measurements'
import { footOutline, type FootOutline } from '../foot/outline'
import { nearestStation, sliceTrack } from '../geometry/track'
import type { Vec } from '../geometry/vector'
import type { KeepClear } from '../records/foot'
import type { Snapshot } from '../records/snapshot'
import type { NailHole } from './holes'

/** Where a place of the wall lies that no nail may enter: stations on the outline, mm. */
export interface ClearStretch extends KeepClear {
  from: number
  to: number
  /** That stretch of the wall's edge, open. */
  line: readonly Vec[]
}

/** The stretches of the wall to keep nails clear of. */
export const clearStretches = (marks: readonly KeepClear[], outline: FootOutline): ClearStretch[] =>
  marks.map((mark) => {
    const middle = outline.toe + (mark.half === 'lateral' ? -1 : 1) * mark.fromToe
    const [from, to] = [middle - mark.width / 2, middle + mark.width / 2]
    return { ...mark, from, to, line: sliceTrack(outline.track, from, to).points }
  })

/** Half of what a nail's shank and the wall about it take along the wall, mm (common practice, no source). */
const NAIL_ROOM = 2

/** What a hole lies in, where it lies in anything to keep clear of. */
export const inTheWay = (hole: Pick<NailHole, 'footStation'>, stretches: readonly ClearStretch[]) =>
  stretches.find(({ from, to }) => hole.footStation > from - NAIL_ROOM && hole.footStation < to + NAIL_ROOM)

/** What a mark at a hole, and an old hole, take of the wall, mm (common practice, no source). */
const MARK = 6
const OLD_HOLE = 4

/** The wall at a hole, marked. */
export const markAt = (
  { branch, alongWall }: Pick<NailHole, 'branch' | 'alongWall'>,
  why: KeepClear['why'],
): KeepClear => ({
  why,
  half: branch,
  fromToe: Math.round(alongWall * 10) / 10,
  width: why === 'old hole' ? OLD_HOLE : MARK,
})

/** A place of the wall as marks are counted. */
export type WallPlace = Pick<NailHole, 'branch' | 'alongWall'>

/** The place of the wall that lies nearest to a point of the sole, in the foot's frame. */
export function wallPlace(foot: Foot, point: Vec): WallPlace {
  const { track, toe } = footOutline(foot)
  const station = nearestStation(track, point)
  return { branch: station < toe ? 'lateral' : 'medial', alongWall: Math.abs(station - toe) }
}

/** The holes a shoe was nailed through, as marks on the wall; snapshots from before holes were counted so have none. */
export const oldHoles = (nails: Snapshot['nails']): KeepClear[] =>
  nails.flatMap(({ branch, driven, alongWall }) =>
    driven && alongWall !== undefined ? [markAt({ branch, alongWall }, 'old hole')] : [],
  )
