import type { Vec } from '../geometry/vector'
import type { Plan } from '../plan/plan'
import type { Ground } from '../terms/goings'
import { LOAD_MOMENTS, newtonsOn, type LoadMoment } from '../terms/loads'
import { bearingOf, type Packing } from './bearing'
import { BENEATH, goingOn, type Going } from './going'

/** Where the load of a moment stands under a shoe, in the foot's frame, mm. */
export function pointOf({ balance, outline }: Pick<Plan, 'balance' | 'outline'>, moment: LoadMoment): Vec {
  const outermost = Math.max(...outline.outer.map(([x]) => x))
  const reach = moment.forward > 0 ? balance.toeLever : balance.behind
  return [BENEATH[0] + outermost * moment.outward, BENEATH[1] + reach * moment.forward]
}

/** One moment of the stride on a ground. */
export interface StrideMoment {
  moment: LoadMoment
  newtons: number
  at: Vec
  going: Going
}

/** A shoe through the stride of a horse of some weight: how it stands at each moment, on one ground. */
export function throughStride(plan: Plan, ground: Ground, kg: number, packing?: Packing): StrideMoment[] {
  const bearing = bearingOf(plan, packing)
  return LOAD_MOMENTS.map((moment) => {
    const newtons = newtonsOn(kg, plan.foot.side, moment)
    const at = pointOf(plan, moment)
    return { moment, newtons, at, going: goingOn(plan, bearing, { ground, load: { newtons, at } }) }
  })
}
