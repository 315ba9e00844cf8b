import { clashWith, withModification } from '../modifications/list'
import { resolveNails } from '../nails/nail-plan'
import type { ShoeInput } from '../records/shoe'
import type { AdviceChange } from './advice'

/** The shoe with what was accepted on it. */
export interface Accepted {
  /** The very shoe that was given, where nothing of it changes. */
  shoe: ShoeInput
  /** Why the modification that was agreed to is not put on: it cannot stand beside what is. */
  clash?: string
}

/** Puts on a shoe what an advice changes at once. The school of breakover is the foot's and stays with whoever asks. */
export function accepted(shoe: ShoeInput, change: AdviceChange): Accepted {
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
