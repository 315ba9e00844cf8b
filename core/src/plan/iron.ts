import { balanceOf, type Balance } from '../foot/balance/balance'
import { workIron, type Iron } from '../iron/iron'
import { groundContact } from '../modifications/ground'
import { resolveFit } from '../shoe/fit'
import { plainLay } from '../shoe/lay'
import { plainLength } from '../shoe/rims'
import type { Nailed } from './nail'

/** The shoe with what to cut for it, and how it stands under the foot. */
export interface Cut extends Nailed {
  iron: Iron
  balance: Balance
}

/** Reads cut, marks and weight from the made shoe, and how it stands. */
export function cutIron(nailed: Nailed): Cut {
  const { foot, section, rims, profile, holes, workshop, parts, chosen, context, outline } = nailed
  const work = chosen.flatMap(({ modification, values }) => modification.marks?.(context, values) ?? [])
  /** The bar of a plain shoe in general fit, of which the rules of thumb speak. */
  const plainPath = () => {
    const general = plainLay(resolveFit('general', foot), foot, outline, section.width)
    return plainLength(outline, general, section.width, nailed.centroidShare)
  }
  const iron = workIron(foot, section, rims, profile, holes, workshop, parts, work, plainPath)
  const { foremost, hindmost } = groundContact(nailed.cuts, parts)
  const { assumed, widest } = nailed
  const balance = balanceOf({ foot, assumed, widest, heelEnds: hindmost, shoeToeY: foremost })
  return { ...nailed, iron, balance }
}
