import { balanceOf, type Balance } from '../foot/balance/balance'
import { workIron, type Iron } from '../iron/iron'
import { groundContact } from '../modifications/ground'
import { raisedOnFloor } from '../modifications/raised'
import { resolveFit } from '../shoe/fit'
import { plainLay } from '../shoe/lay'
import { plainLength } from '../shoe/rims'
import type { Nailed } from './nail'
import { ironOfSize } from './of-size'

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
  const { stock } = nailed
  const losses = stock ? { ...workshop, scaleLoss: 0, correction: 0, cutFactor: 1 } : workshop
  const bar = workIron(foot, section, rims, profile, holes, losses, parts, work, plainPath)
  const iron = stock ? ironOfSize(bar, stock.facts, nailed) : bar
  const { foremost, hindmost } = groundContact(nailed.cuts, parts)
  const { assumed, widest } = nailed
  const raised = raisedOnFloor(nailed.cuts, parts)
  const balance = balanceOf({ foot, assumed, widest, heelEnds: hindmost, shoeToeY: foremost, raised })
  return { ...nailed, iron, balance }
}
