import { problem, type Problem } from '../notices/problem'
import type { Foot } from '../foot/measurements'
import { nearestStation, placeAt, rightOf, trackLength } from '../geometry/track'
import { along, turnRight } from '../geometry/vector'
import type { FootOutline } from '../foot/outline'
import { wallThicknessAt } from '../foot/wall'
import { webAt, type Rims } from '../shoe/rims'
import { ruledOutBy, type StandingLimit } from './limits'
import type { NailPlan } from './nail-plan'
import { nailSchool } from './schools'
import { length, told } from '../notices/told'
import { FROM_ENDS, LAND, LEAST_APART } from '../shoe/hole-room'
import { HALVES, type Half } from '../terms/half'

/** A hole as it is punched. */
export interface NailHole {
  branch: Half
  /** Counted from the toe, 1 first. */
  number: number
  x: number
  y: number
  /** Along the outer rim from the middle of the toe, mm. */
  fromToe: number
  /** From the outer rim, mm. */
  inset: number
  /** From the wall's outer ground edge inward, mm. */
  insideWall: number
  /** Where it lies on the foot's outline, station in mm. */
  footStation: number
  /** How far it lies behind the buttress, where the wall has ended, mm; 0 where there is wall beside it. */
  behindWall: number
  /** Along the wall from the middle of the toe, mm: as marks on the wall are counted. */
  alongWall: number
  /** Of the wall there, mm. */
  wallThickness: number
  driven: boolean
  /** The web could not carry the hole where the wall wants it. */
  heldByWeb: boolean
  /** Which limit of the school in use it stands beyond. */
  beyond?: 'forward' | 'rear'
  /** The limit of this foot that lets no nail be driven here. */
  ruledOut?: StandingLimit
}

/** Where a branch's holes lie along the rim, mm from the toe: evenly from first to last, or as said of each. */
export function holePlaces(rims: Rims, outline: FootOutline, plan: NailPlan, branch: Half): number[] {
  const { holes, each, ...asked } = plan[branch]
  const zone = nailSchool(plan.school).zone(rims, outline, branch)
  // Where nobody put them, holes take the room they need even where a school's zone is short: that is told, not refused.
  const room = (LEAST_APART + 0.5) * Math.max(0, holes - 1)
  const end = (branch === 'lateral' ? rims.toe : trackLength(rims.outer) - rims.toe) - FROM_ENDS
  const first = asked.first ?? Math.min(zone.first, (asked.last ?? end) - room)
  const last = asked.last ?? Math.min(end, Math.max(zone.last, first + room))
  return Array.from({ length: holes }, (_, i) => {
    const even = holes === 1 ? (first + last) / 2 : first + ((last - first) * i) / (holes - 1)
    return each.find(({ number }) => number === i + 1)?.fromToe ?? even
  })
}

/** Problems of holes that are not on the shoe, or not in their order. */
export function checkHolePlaces(rims: Rims, outline: FootOutline, plan: NailPlan): Problem[] {
  return HALVES.flatMap((branch) => {
    const long = branch === 'lateral' ? rims.toe : trackLength(rims.outer) - rims.toe
    const name = branch === 'lateral' ? 'Outer' : 'Inner'
    const places = holePlaces(rims, outline, plan, branch)
    return places.flatMap((place, i): Problem[] => {
      const path = plan.made
        ? `shoe.stock.facts.holes.${branch}.${i}.fromToe`
        : `shoe.nails.${branch}.${i + 1}.fromToe`
      const range = [FROM_ENDS, long - FROM_ENDS] as const
      if (!(place >= range[0] && place <= range[1])) {
        return [
          problem(
            path,
            told`${name} hole ${i + 1}: ${length(place)} from the toe is not on the branch; it lies between ${length(range[0])} and ${length(range[1])}`,
          ),
        ]
      }
      if (i > 0 && place < places[i - 1]! + LEAST_APART) {
        return [
          problem(
            path,
            told`${name} holes ${i} and ${i + 1}: ${length(place - places[i - 1]!)} apart; the bar needs at least ${length(LEAST_APART)} between two, in their order from the toe`,
          ),
        ]
      }
      return []
    })
  })
}

/**
 * Places the holes in the zone of the school, or where they were put, each over the outer edge of the white line, or
 * as near to it as the web allows; an inset that was typed stands as far as there is steel.
 */
export function placeHoles(foot: Foot, outline: FootOutline, rims: Rims, plan: NailPlan): NailHole[] {
  return HALVES.flatMap((branch) => {
    const { driven, each } = plan[branch]
    const zone = nailSchool(plan.school).zone(rims, outline, branch)
    return holePlaces(rims, outline, plan, branch).map((fromToe, i): NailHole => {
      const said = each.find(({ number }) => number === i + 1)
      const station = rims.toe + (branch === 'lateral' ? -1 : 1) * fromToe
      const rim = placeAt(rims.outer, station)
      const footStation = nearestStation(outline.track, rim.point)
      const wall = placeAt(outline.track, footStation)
      // How far the rim stands outside the wall here; minus where it is set back under it.
      const stands = rightOf(wall, rim.point)
      const wallThickness = wallThicknessAt(foot, outline, footStation)
      const wanted = said?.inset ?? wallThickness + stands
      // The holes of a factory shoe are where they are; others are punched where there is steel.
      const inset = plan.made ? wanted : Math.min(webAt(rims, station) - LAND, Math.max(LAND, wanted))
      const point = along(rim.point, turnRight(rim.tangent), -inset)
      // Measured where the hole is: a branch that is turned out or set aside does not run beside the wall.
      const insideWall = -rightOf(placeAt(outline.track, nearestStation(outline.track, point)), point)
      const ruledOut = plan.limits && ruledOutBy(plan.limits, outline, footStation)
      const beyond = fromToe < zone.forward - 0.5 ? 'forward' : fromToe > zone.rear + 0.5 ? 'rear' : undefined
      return {
        branch,
        number: i + 1,
        x: point[0],
        y: point[1],
        fromToe,
        inset,
        insideWall,
        footStation,
        // Back from the buttress is against the walk on the lateral side, with it on the medial one.
        behindWall: Math.max(
          0,
          (branch === 'lateral' ? -1 : 1) *
            ((rim.point[0] - wall.point[0]) * wall.tangent[0] +
              (rim.point[1] - wall.point[1]) * wall.tangent[1]),
        ),
        alongWall: Math.abs(footStation - outline.toe),
        wallThickness,
        driven: driven.includes(i + 1),
        heldByWeb: Math.abs(inset - wanted) > 0.5,
        ...(beyond && { beyond }),
        ...(ruledOut && { ruledOut }),
      }
    })
  })
}
