import type { Half } from '../terms/half'
import type { FootOutline } from '../foot/outline'
import { nearestStation, placeAt, trackLength, type Track } from '../geometry/track'
import type { Rims } from '../shoe/rims'
import type { NailSchoolName } from '../terms/nail-schools'

/** Where nails may stand along the outer rim, mm from the middle of the toe, and where they are put unless told. */
export interface NailZone {
  forward: number
  rear: number
  first: number
  last: number
}

/** A school of nailing: its rule in words, and its zone on one branch of a shoe. */
export interface NailSchool {
  name: NailSchoolName
  label: string
  rule: string
  zone: (rims: Rims, outline: FootOutline, branch: Half) => NailZone
}

let last: { rims: Rims; stations: Record<Half, number> } | undefined

/** Stations of the outer rim beside the two ends of the wall; looked for once for each shoe. */
function besideButtress(rims: Rims, wall: Track): Record<Half, number> {
  if (last?.rims !== rims) {
    const near = (station: number) => nearestStation(rims.outer, placeAt(wall, station).point)
    last = { rims, stations: { lateral: near(0), medial: near(trackLength(wall)) } }
  }
  return last.stations
}

/** From the toe to the bend of the quarter and to the buttress, mm along the outer rim: a nail needs wall beside it. */
function lengths(rims: Rims, { track }: FootOutline, branch: Half): { bend: number; buttress: number } {
  const lateral = branch === 'lateral'
  const beside = besideButtress(rims, track)[branch]
  const [bend, buttress] = lateral
    ? [rims.toe - rims.lateralBend, rims.toe - beside]
    : [rims.medialBend - rims.toe, beside - rims.toe]
  // A branch that is cut off short of its bend ends the zone with it.
  return { bend: Math.min(bend, buttress), buttress }
}

/** The two schools; shares of the wall between toe, widest part and buttress: common practice, no source for the amounts. */
export const SCHOOLS_OF_NAILING: readonly NailSchool[] = [
  {
    name: 'sound',
    label: 'Sound foot',
    rule: 'None behind the bend of the quarter: the heels spread there.',
    zone: (rims, outline, branch) => {
      const { bend } = lengths(rims, outline, branch)
      return { forward: bend * 0.2, rear: bend, first: bend * 0.34, last: bend * 0.96 }
    },
  },
  {
    name: 'laminitic',
    label: 'Laminitic foot',
    rule: 'Only behind the widest part, away from the toe.',
    zone: (rims, outline, branch) => {
      const { bend, buttress } = lengths(rims, outline, branch)
      const behind = (share: number) => bend + (buttress - bend) * share
      return { forward: bend, rear: behind(0.85), first: behind(0.06), last: behind(0.76) }
    },
  },
]

/** A school by its name. */
export const nailSchool = (name: NailSchoolName): NailSchool =>
  SCHOOLS_OF_NAILING.find((school) => school.name === name)!
