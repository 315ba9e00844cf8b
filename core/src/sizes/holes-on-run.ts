import { wallThicknessAt } from '../foot/wall'
import { segmentAt } from '../geometry/segment-at'
import { placeAt, trackLength } from '../geometry/track'
import { along, turnRight } from '../geometry/vector'
import type { NailHole } from '../nails/holes'
import type { SizeFacts } from '../records/size'
import type { LaidFoot, LongRun } from './laid-foot'

/**
 * Where the holes of a size lie, read off the long run: its rim lies point for point beside the wall, so that nothing has to
 * be looked for. The plan of a shoe, which looks, agrees within a hundredth of a millimetre.
 */
export function holesOnRun({ foot, outline }: LaidFoot, run: LongRun, { holes }: SizeFacts): NailHole[] {
  const { outer, toe } = run.rims
  const end = trackLength(outline.track)
  return (['lateral', 'medial'] as const).flatMap((branch) =>
    holes[branch].map(({ fromToe, inset }, i): NailHole => {
      const station = toe + (branch === 'lateral' ? -fromToe : fromToe)
      const rim = placeAt(outer, station)
      const onRun = besideRim(run, station) - run.start
      const behindWall = Math.max(0, branch === 'lateral' ? -onRun : onRun - end)
      const footStation = Math.min(end, Math.max(0, onRun))
      const [x, y] = along(rim.point, turnRight(rim.tangent), -inset)
      return {
        ...{ branch, number: i + 1, x, y, fromToe, inset, footStation, behindWall },
        insideWall: inset - run.reach(onRun),
        alongWall: Math.abs(footStation - outline.toe),
        wallThickness: wallThicknessAt(foot, outline, footStation),
        ...{ driven: true, heldByWeb: false },
      }
    }),
  )
}

/** The station of the run beside one of the outer rim. */
function besideRim({ rims: { outer }, beside }: LongRun, station: number): number {
  const i = segmentAt(outer.stations, Math.min(trackLength(outer), Math.max(0, station)))
  const [from, to] = [outer.stations[i]!, outer.stations[i + 1]!]
  const share = to > from ? (station - from) / (to - from) : 0
  return beside.stations[i]! + share * (beside.stations[i + 1]! - beside.stations[i]!)
}
