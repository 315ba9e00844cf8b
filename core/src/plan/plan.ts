import type { FootInput } from '../records/foot'
import type { ShoeInput, WorkshopInput } from '../records/shoe'
import { answer, type Plan } from './answer'
import { buildShoe } from './build'
import { layShoe } from './lay'
import { nailShoe } from './nail'
import { readRequest } from './read'
import { cutIron } from './iron'

export type { Plan, PlannedModification } from './answer'

/**
 * From a foot and a shoe to iron, nails and cautions: the one way through. What is only looked at is worked out when it
 * is asked for, once.
 *
 * @throws ProblemError with every figure that is missing or not possible
 */
export function planShoe(foot: FootInput, shoe: ShoeInput, workshop: WorkshopInput = {}): Plan {
  const asked = readRequest(foot, shoe, workshop)
  const laid = layShoe(asked)
  const built = buildShoe(laid)
  const nailed = nailShoe(built)
  const cut = cutIron(nailed)
  return answer(cut)
}
