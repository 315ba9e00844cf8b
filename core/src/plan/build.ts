import { buildBar, type SectionCut } from '../modifications/build'
import type { ShoePart } from '../modifications/modification'
import type { Chosen } from '../modifications/resolve'
import type { Profile } from '../shoe/profile'
import type { Laid } from './lay'
import { ownOf } from './own'

/** The shoe as it is forged: its sections, the bar they take, the pieces beside it. */
export interface Built extends Laid {
  profile: Profile
  cuts: SectionCut[]
  parts: ShoePart[]
  /** Clips and crease that a factory shoe comes with. */
  own: readonly Chosen[]
}

/** Forges the sections along the rims, and the pieces beside them. */
export function buildShoe(laid: Laid): Built {
  const { chosen, context, centroidShare } = laid
  const own = ownOf(laid)
  return {
    ...laid,
    own,
    ...buildBar(chosen, context, centroidShare),
    parts: [...own, ...chosen].flatMap(
      ({ modification, values }) => modification.parts?.(context, values) ?? [],
    ),
  }
}
