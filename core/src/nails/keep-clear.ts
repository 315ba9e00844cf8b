import type { FootOutline } from '../foot/outline'
import type { KeepClear } from '../records/foot'
import type { NailHole } from './holes'

/** Where a place of the wall lies that no nail may enter: stations on the outline, mm. */
export interface ClearStretch extends KeepClear {
  from: number
  to: number
}

/** The stretches of the wall to keep nails clear of. */
export const clearStretches = (marks: readonly KeepClear[], outline: FootOutline): ClearStretch[] =>
  marks.map((mark) => {
    const middle = outline.toe + (mark.half === 'lateral' ? -1 : 1) * mark.fromToe
    return { ...mark, from: middle - mark.width / 2, to: middle + mark.width / 2 }
  })

/** Half of what a nail's shank and the wall about it take along the wall, mm (common practice, no source). */
const NAIL_ROOM = 2

/** What a hole lies in, where it lies in anything to keep clear of. */
export const inTheWay = (hole: Pick<NailHole, 'footStation'>, stretches: readonly ClearStretch[]) =>
  stretches.find(({ from, to }) => hole.footStation > from - NAIL_ROOM && hole.footStation < to + NAIL_ROOM)

/** A hole as a mark on the wall, mm wide. */
export const markAt = (
  { branch, alongWall }: Pick<NailHole, 'branch' | 'alongWall'>,
  why: KeepClear['why'],
  width: number,
): KeepClear => ({ why, half: branch, fromToe: Math.round(alongWall * 10) / 10, width })
