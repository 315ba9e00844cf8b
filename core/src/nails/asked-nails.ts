import type { FootInput } from '../records/foot'
import type { ShoeInput } from '../records/shoe'
import { bends } from '../terms/size-kinds'
import { drilledHoles } from './drilled'
import { factoryHoles } from './factory-holes'
import { standingLimits, withinLimits } from './limits'
import { resolveNails, type NailPlan } from './nail-plan'

/**
 * The nails of a shoe, completed, within the limits of its foot. A shoe that bends has its holes punched; one that does
 * not is drilled where this foot wants them.
 */
export function askedNails({ stock, nails }: ShoeInput, foot: Pick<FootInput, 'width' | 'limits'>): NailPlan {
  const plan = !stock
    ? resolveNails(nails)
    : bends(stock.facts.kind)
      ? factoryHoles(stock.facts, nails)
      : drilledHoles(nails, foot.width)
  return withinLimits(plan, standingLimits(foot.limits, nails?.overruled), nails)
}
