import { buildBar, type SectionCut } from '../modifications/build'
import type { ShoePart } from '../modifications/modification'
import type { Profile } from '../shoe/profile'
import type { Laid } from './lay'
import { ownPieces } from './own-pieces'

/** The shoe as it is forged: its sections, the bar they take, the pieces beside it. */
export interface Built extends Laid {
  profile: Profile
  cuts: SectionCut[]
  parts: ShoePart[]
}

/** Forges the sections along the rims, and the pieces beside them. */
export function buildShoe(laid: Laid): Built {
  const { chosen, context } = laid
  return {
    ...laid,
    ...buildBar(chosen, context),
    parts: [
      ...ownPieces(laid),
      ...chosen.flatMap(({ modification, values }) => modification.parts?.(context, values) ?? []),
    ],
  }
}
