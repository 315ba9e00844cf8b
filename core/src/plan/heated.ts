import type { HeatedShoe } from '../iron/heats'
import type { Metal } from '../iron/metal'
import { modifiedRims } from '../modifications/build'
import type { Modification } from '../modifications/modification'
import { partlyWorked } from '../modifications/partly-worked'
import { barPlaces } from '../shoe/profile'
import type { Cut } from './iron'

/** What the shapes between the heats are worked out from. */
export function heatedShoe(cut: Cut, moulded: boolean): HeatedShoe {
  const { rims, iron, holes, parts, stock, chosen, lay, plain, outline, plainContext, centroidShare } = cut
  const turned = parts.find((part) => part.turned)?.turned
  return {
    ...{ rims, holes, moulded, branches: iron.branches },
    ...(turned && { closing: { asCut: iron.closing, turned } }),
    ...(stock ? !moulded && { size: stock.facts } : { metal: metalOf(cut) }),
    rimsWithout: (undone) =>
      modifiedRims(
        chosen.filter((_, i) => !undone.has(i)),
        { lay, rims: plain, centroidShare },
        outline,
        plainContext,
      ),
  }
}

function metalOf({ rims, profile, chosen, lay, plainContext, context }: Cut): Metal {
  const those = (hook: keyof Modification) =>
    chosen.flatMap(({ modification }, i) => (modification[hook] ? [i] : []))
  return {
    places: barPlaces(rims),
    profile,
    areaAt: partlyWorked(chosen, lay, plainContext, context),
    gathered: chosen.map(({ modification, values }) => modification.gather?.(context, values) ?? []),
    forges: those('forge'),
    raises: those('rise'),
  }
}
