import { readFoot, type ReadFoot } from '../foot/measurements'
import { checkNails, resolveNails, type NailPlan } from '../nails/nail-plan'
import { ProblemError } from '../notices/problem'
import type { FootInput } from '../records/foot'
import type { Section, ShoeInput, WorkshopInput } from '../records/shoe'
import { checkFit, resolveFit, type Fit } from '../shoe/fit'
import { checkSection } from '../shoe/section'
import { checkWorkshop, resolveWorkshop, type Workshop } from '../workshop/workshop'

/** What was asked for, with every figure of foot, fit, nails and workshop known and possible by itself. */
export interface Asked extends ReadFoot {
  footInput: FootInput
  shoe: ShoeInput
  section: Section
  fit: Fit
  nailsAsked: NailPlan
  workshop: Workshop
}

/**
 * Reads a foot and a shoe.
 *
 * @throws ProblemError with every figure that is missing or not possible
 */
export function readRequest(footInput: FootInput, shoe: ShoeInput, workshopInput: WorkshopInput): Asked {
  const workshop = resolveWorkshop(workshopInput)
  const nailsAsked = resolveNails(shoe.nails)
  const problems = [...checkSection(shoe.section), ...checkNails(nailsAsked), ...checkWorkshop(workshop)]
  const read = readFoot(footInput)
  if (!read.ok) throw new ProblemError([...read.problems, ...problems])
  const { foot } = read.value
  const fit = resolveFit(shoe.fit, foot)
  problems.push(...checkFit(fit, foot))
  if (problems.length > 0) throw new ProblemError(problems)
  return { ...read.value, footInput, shoe, section: shoe.section, fit, nailsAsked, workshop }
}
