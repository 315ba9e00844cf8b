import type { NailSize } from '../records/shoe'
import type { StandingLimit } from './limits'
import type { NailPlan } from './nail-plan'
import type { Nail } from './nails'
import { nailNeed, suggestNail, type NailNeed } from '../workshop/sizes'
import type { NailSchoolName } from '../terms/nail-schools'

/** How the shoe is nailed as a whole. */
export interface Nailing {
  school: NailSchoolName
  /** What limits the nails of this foot, each with the reason it was overruled with, where it was. */
  limits?: readonly StandingLimit[]
  /** What the driven nails ask for; none are driven where it is missing. */
  need?: NailNeed
  /** Out of the workshop's table, for that need. */
  suggested?: NailSize
  /** The size that is used: as chosen, else as suggested. */
  size?: NailSize
  /** A size was chosen that is not in the table any more. */
  unknownSize?: string
  /** Between shoe and wall, mm. */
  padding: number
  /** Lowest and highest exit of the driven nails, mm. */
  exits?: { low: number; high: number }
}

/** The nail for a shoe, and how far its exits lie apart. */
export function chooseNail(
  nails: readonly Nail[],
  plan: NailPlan,
  thickness: number,
  padding: number,
  sizes: readonly NailSize[],
): Nailing {
  const driven = nails.filter((nail) => nail.driven && nail.verdict !== 'misses')
  const need = nailNeed(driven, thickness, padding)
  const suggested = need && suggestNail(need, sizes)
  const chosen = sizes.find(({ name }) => name === plan.size)
  const size = chosen ?? (plan.size === undefined ? suggested : undefined)
  const heights = driven.map(({ exitHeight }) => exitHeight)
  return {
    school: plan.school,
    padding,
    ...(plan.limits && { limits: plan.limits }),
    ...(need && { need }),
    ...(suggested && { suggested }),
    ...(size && { size }),
    ...(plan.size !== undefined && !chosen && { unknownSize: plan.size }),
    ...(heights.length > 0 && { exits: { low: Math.min(...heights), high: Math.max(...heights) } }),
  }
}
