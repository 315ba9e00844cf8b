import type { Half } from '../foot/half'
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

/** Where a foot station lies in the words of a mark: which half, and how far from the toe along the wall. */
export const markPlace = (station: number, outline: FootOutline): { half: Half; fromToe: number } => ({
  half: station < outline.toe ? 'lateral' : 'medial',
  fromToe: Math.abs(station - outline.toe),
})
