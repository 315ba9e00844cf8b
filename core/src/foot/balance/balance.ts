import { HALVES, type Half } from '../../terms/half'
import type { FootFigureKey } from '../figures'
import type { Foot } from '../measurements'
import type { WidestPart } from '../widest-part'
import { breakover, type Breakover } from './breakover'
import { hoofPastern, type HoofPastern } from './hoof-pastern'

/** Where the two heels of a shoe end, y in the foot's frame, mm. */
export interface HeelEnds {
  lateral: number
  medial: number
}

/** One heel end against the lines it should reach. */
export interface HeelSupport {
  branch: Half
  /** Behind the buttress line, mm; minus ends before it. */
  behindButtress: number
  /** Short of the plumb line of the bulbs, mm; minus lies beyond it. */
  shortOfBulbs: number
  /** Short of the plumb line behind the cannon, mm; unknown where that was not dropped. */
  shortOfPlumb?: number
}

/** How a shoe stands under the foot. Lengths in mm. */
export interface Balance {
  breakover: Breakover
  /** Bearing ahead of the widest part, to where the shoe as it is made breaks over. */
  ahead: number
  /** Bearing behind the widest part: to the hindmost heel end. */
  behind: number
  /** Ahead over behind; near 1 is wanted. */
  ratio: number
  /** From the widest part, over which the centre of rotation is taken to lie, to where the shoe breaks over. */
  toeLever: number
  /** Shorter than the lever of the bare trimmed toe by this much. */
  leverSaved: number
  /** How far ahead of the school in use the shoe breaks over; minus: behind it. Unknown where the school lacks something. */
  aheadOfSchool?: number
  heels: HeelSupport[]
  /** Degrees by which the made shoe raises the heels on a hard floor, against the foot as trimmed; minus lowers them. */
  raised: number
  hoofPastern?: HoofPastern
}

/** What the balance of a foot and its shoe is worked out from. */
export interface BalanceInput {
  foot: Foot
  assumed: readonly FootFigureKey[]
  widest: WidestPart
  heelEnds: HeelEnds
  /** Foremost place of the shoe's rim, y. */
  shoeToeY: number
  /** By how many degrees the made shoe raises the heels. */
  raised: number
}

/** The widest part was measured, or its estimates agree. */
export const widestKnown = (assumed: readonly FootFigureKey[], widest: WidestPart): boolean =>
  !assumed.includes('widestFromToe') || widest.agreed !== undefined

/**
 * Breakover by every school, proportion about the widest part, toe lever, heel ends. The centre of rotation is taken
 * to lie over the widest part, the origin of the foot's frame.
 */
export function balanceOf({ foot, assumed, widest, heelEnds, shoeToeY, raised }: BalanceInput): Balance {
  const heelEndY = Math.min(heelEnds.lateral, heelEnds.medial)
  const roll = breakover({ foot, assumed, widestKnown: widestKnown(assumed, widest), heelEndY })
  const buttressY = foot.widestFromToe - foot.length
  const axis = hoofPastern(foot)
  return {
    breakover: roll,
    ahead: shoeToeY,
    behind: -heelEndY,
    ratio: shoeToeY / -heelEndY,
    toeLever: shoeToeY,
    leverSaved: foot.widestFromToe - shoeToeY,
    ...(roll.y !== undefined && { aheadOfSchool: shoeToeY - roll.y }),
    heels: HALVES.map((branch) => ({
      branch,
      behindButtress: buttressY - heelEnds[branch],
      shortOfBulbs: heelEnds[branch] - (buttressY - foot.bulbLine),
      ...(foot.plumbBehind !== undefined && {
        shortOfPlumb: heelEnds[branch] - (buttressY - foot.plumbBehind),
      }),
    })),
    raised,
    ...(axis && { hoofPastern: axis }),
  }
}
