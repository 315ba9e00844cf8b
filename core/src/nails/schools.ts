import { trackLength } from '../geometry/track'
import type { Half } from '../foot/half'
import type { Rims } from '../shoe/rims'

export const NAIL_SCHOOLS = ['sound', 'laminitic'] as const
export type NailSchoolName = (typeof NAIL_SCHOOLS)[number]

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
  zone: (rims: Rims, branch: Half) => NailZone
}

/** From the toe to the bend of the quarter and to the heel end, mm along the outer rim. */
function lengths(rims: Rims, branch: Half): { bend: number; heel: number } {
  return branch === 'lateral'
    ? { bend: rims.toe - rims.lateralBend, heel: rims.toe }
    : { bend: rims.medialBend - rims.toe, heel: trackLength(rims.outer) - rims.toe }
}

/** The two schools; shares of the rim: common practice, no source for the amounts. */
export const SCHOOLS_OF_NAILING: readonly NailSchool[] = [
  {
    name: 'sound',
    label: 'Sound foot',
    rule: 'None behind the bend of the quarter: the heels spread there.',
    zone: (rims, branch) => {
      const { bend } = lengths(rims, branch)
      return { forward: bend * 0.2, rear: bend, first: bend * 0.34, last: bend * 0.96 }
    },
  },
  {
    name: 'laminitic',
    label: 'Laminitic foot',
    rule: 'Only behind the widest part, away from the toe.',
    zone: (rims, branch) => {
      const { bend, heel } = lengths(rims, branch)
      const behind = (share: number) => bend + (heel - bend) * share
      return { forward: bend, rear: behind(0.85), first: behind(0.06), last: behind(0.76) }
    },
  },
]

/** A school by its name. */
export const nailSchool = (name: NailSchoolName): NailSchool =>
  SCHOOLS_OF_NAILING.find((school) => school.name === name)!
