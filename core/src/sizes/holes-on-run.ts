import { wallThicknessAt } from '../foot/wall'
import { segmentAt } from '../geometry/segment-at'
import { placeAt, trackLength } from '../geometry/track'
import { along, turnRight } from '../geometry/vector'
import type { NailHole } from '../nails/holes'
import { ruledOutBy } from '../nails/limits'
import { judgeHole } from '../nails/nails'
import type { SizeFacts, SizeHole } from '../records/size'
import { HALVES, type Half } from '../terms/half'
import type { Verdict } from '../terms/verdicts'
import type { LaidFoot, LongRun } from './laid-foot'

/**
 * Where the holes of a size lie, read off the long run: its rim lies point for point beside the wall, so that nothing has to
 * be looked for. The plan of a shoe, which looks, agrees within a hundredth of a millimetre.
 */
export function holesOnRun(laid: LaidFoot, run: LongRun, { holes }: SizeFacts): NailHole[] {
  const { outer, toe } = run.rims
  return HALVES.flatMap((branch) =>
    holes[branch].map((hole, i): NailHole => {
      const rim = placeAt(outer, stationAt(toe, branch, hole))
      const [x, y] = along(rim.point, turnRight(rim.tangent), -hole.inset)
      const at = atTheWall(laid, run, branch, hole)
      const ruledOut = ruledOutBy(laid.limits, laid.outline, at.footStation)
      return {
        ...{ branch, number: i + 1, x, y, fromToe: hole.fromToe, inset: hole.inset, ...at },
        alongWall: Math.abs(at.footStation - laid.outline.toe),
        ...{ driven: true, heldByWeb: false },
        ...(ruledOut && { ruledOut }),
      }
    }),
  )
}

/** The verdict on the nail of each hole of a branch, from the toe back: all that a size is ranked by. */
export const verdictsOnRun = (
  laid: LaidFoot,
  run: LongRun,
  { holes }: SizeFacts,
  branch: Half,
  turningRadius: number,
): Verdict[] =>
  holes[branch].map((hole) => {
    const at = atTheWall(laid, run, branch, hole)
    const { verdict } = judgeHole(laid.foot, laid.outline, at, hole.pitch, turningRadius).judged
    if (verdict === 'would-prick') return verdict
    return ruledOutBy(laid.limits, laid.outline, at.footStation) ? 'ruled-out' : verdict
  })

const stationAt = (toe: number, branch: Half, { fromToe }: SizeHole): number =>
  toe + (branch === 'lateral' ? -fromToe : fromToe)

/** How a hole lies against the wall. Spelt out, as `barPlaces` is: thousands are read for one table. */
function atTheWall({ foot, outline }: LaidFoot, run: LongRun, branch: Half, hole: SizeHole) {
  const end = trackLength(outline.track)
  const onRun = besideRim(run, stationAt(run.rims.toe, branch, hole)) - run.start
  const footStation = Math.min(end, Math.max(0, onRun))
  return {
    footStation,
    behindWall: Math.max(0, branch === 'lateral' ? -onRun : onRun - end),
    insideWall: hole.inset - run.reach(onRun),
    wallThickness: wallThicknessAt(foot, outline, footStation),
  }
}

/** The station of the run beside one of the outer rim. */
function besideRim({ rims: { outer }, beside }: LongRun, station: number): number {
  const i = segmentAt(outer.stations, Math.min(trackLength(outer), Math.max(0, station)))
  const [from, to] = [outer.stations[i]!, outer.stations[i + 1]!]
  const share = to > from ? (station - from) / (to - from) : 0
  return beside.stations[i]! + share * (beside.stations[i + 1]! - beside.stations[i]!)
}
