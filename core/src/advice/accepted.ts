import { clashWith, withModification } from '../modifications/list'
import { resolveNails } from '../nails/nail-plan'
import { ProblemError, type Problem } from '../notices/problem'
import { planShoe } from '../plan/plan'
import type { FootInput } from '../records/foot'
import type { ShoeInput } from '../records/shoe'
import type { AdviceChange } from './advice'

/** The shoe with what was accepted on it. */
export interface Accepted {
  /** The very shoe that was given, where nothing of it changes. */
  shoe: ShoeInput
  /** Why the modification that was agreed to is not put on: it cannot stand beside what is. */
  clash?: string
  /** Why nothing of it is put on: with it the shoe cannot be made for this foot, though it could be before. */
  refused?: readonly Problem[]
}

/**
 * Puts on a shoe what an advice changes at once. The school of breakover is the foot's and stays with whoever asks.
 *
 * @param foot that the shoe is for, where it is measured: what cannot be made for it is not put on
 */
export function accepted(shoe: ShoeInput, change: AdviceChange, foot?: FootInput): Accepted {
  const changed = withChange(shoe, change)
  if (!foot || changed.shoe === shoe) return changed
  const refused = problemsOf(foot, changed.shoe)
  // A shoe that could not be made before is not made worse by good advice.
  return refused.length > 0 && problemsOf(foot, shoe).length === 0 ? { shoe, refused } : changed
}

/** Why a shoe cannot be made for a foot; nothing where it can. */
function problemsOf(foot: FootInput, shoe: ShoeInput): readonly Problem[] {
  try {
    planShoe(foot, shoe)
    return []
  } catch (error) {
    if (error instanceof ProblemError) return error.problems
    throw error
  }
}

function withChange(shoe: ShoeInput, change: AdviceChange): Accepted {
  const { fit, driven, modification, nailSchool } = change
  const list = shoe.modifications ?? []
  const clash =
    modification !== undefined && !list.some(({ kind }) => kind === modification)
      ? clashWith(list, modification)
      : undefined
  const modifications =
    modification === undefined || clash !== undefined ? list : withModification(list, modification)
  const changed = {
    ...(fit && { fit }),
    ...((driven || nailSchool) && { nails: nailsOf(shoe, change) }),
    ...(modifications !== list && { modifications }),
  }
  return {
    shoe: Object.keys(changed).length > 0 ? { ...shoe, ...changed } : shoe,
    ...(clash !== undefined && { clash }),
  }
}

/** Which holes are driven is said anew: places that were moved for other holes mean nothing to these. */
function nailsOf({ nails }: ShoeInput, { driven, nailSchool }: AdviceChange): ShoeInput['nails'] {
  const placed = driven
    ? { ...nails, lateral: { driven: driven.lateral }, medial: { driven: driven.medial } }
    : nails
  return nailSchool ? { ...resolveNails(placed), school: nailSchool } : placed
}
