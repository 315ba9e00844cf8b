import { segmentAt } from '../geometry/segment-at'
import { nearestStation, placeAt, trackLength } from '../geometry/track'
import { along, turnRight } from '../geometry/vector'
import { factoryHoles } from '../nails/factory-holes'
import { judgeNails, type Nail } from '../nails/nails'
import type { SizeFacts } from '../records/size'
import { soldWidth } from '../shoe/as-sold'
import { onceAsked } from '../geometry/when-asked'
import { byHalf, type Half } from '../terms/half'
import { toCut } from '../shoe/to-cut'
import { resolveWorkshop } from '../workshop/workshop'
import type { Verdict } from '../terms/verdicts'
import { holesOnRun, verdictsOnRun } from './holes-on-run'
import type { LaidFoot, LongRun } from './laid-foot'

/** How one size lies on one foot, its length kept. Lengths in mm. */
export interface SizeOnFoot {
  facts: SizeFacts
  /** Wider than it comes from the box; minus closes. */
  openBy: number
  /** Beyond where the fit ends, along the branch; minus falls short. */
  heelLeft: Record<Half, number>
  heelToCut: Record<Half, number>
  /** Behind the buttress line; minus ends before it. */
  heelBehind: Record<Half, number>
  /** Short of the plumb line of the bulbs; minus lies beyond it. */
  shortOfBulbs: Record<Half, number>
  /** The verdicts on the holes of a branch by themselves; and each hole with its nail. Worked out when they are asked for. */
  verdicts: (branch: Half) => readonly Verdict[]
  nails: () => readonly Nail[]
}

const WORKSHOP = resolveWorkshop({})

/** Lays a size on a foot: middle of toe to middle of toe, along the fit's curve, heels where its length ends. */
export function sizeOnFoot(laid: LaidFoot, facts: SizeFacts): SizeOnFoot {
  const { foot, outline } = laid
  const run = laid.along(facts.web)
  const { rims, branches, wanted } = run
  const long = trackLength(rims.centreline)
  const end = (branch: Half) => {
    const spare = branches[branch] - facts.length / 2
    const outer = placeAt(rims.outer, besideMiddle(run, branch === 'lateral' ? spare : long - spare))
    const inner = along(outer.point, turnRight(outer.tangent), -facts.web)
    return Math.min(outer.point[1], inner[1])
  }
  const heelLeft = byHalf((branch) => facts.length / 2 - wanted[branch])
  const buttressY = foot.widestFromToe - foot.length
  const heelBehind = byHalf((branch) => buttressY - end(branch))
  return {
    facts,
    openBy: run.width - soldWidth(facts),
    heelLeft,
    heelToCut: byHalf((branch) => toCut(heelLeft[branch])),
    heelBehind,
    shortOfBulbs: byHalf((branch) => foot.bulbLine - heelBehind[branch]),
    verdicts: (branch) => verdictsOnRun(laid, run, facts, branch, WORKSHOP.turningRadius),
    nails: onceAsked(() => {
      const plan = factoryHoles(facts, undefined)
      return judgeNails(foot, outline, holesOnRun(laid, run, facts), plan, WORKSHOP)
    }),
  }
}

/** The station of the outer rim beside one of the centreline. Point for point, where nothing was cut at a fold. */
function besideMiddle({ rims: { centreline, outer } }: LongRun, station: number): number {
  if (centreline.points.length !== outer.points.length)
    return nearestStation(outer, placeAt(centreline, station).point)
  const i = segmentAt(centreline.stations, station)
  const [from, to] = [centreline.stations[i]!, centreline.stations[i + 1]!]
  const share = to > from ? (station - from) / (to - from) : 0
  return outer.stations[i]! + share * (outer.stations[i + 1]! - outer.stations[i]!)
}
