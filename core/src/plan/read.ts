import { readFoot, type ReadFoot } from '../foot/measurements'
import { askedNails } from '../nails/asked-nails'
import { checkNails, type NailPlan } from '../nails/nail-plan'
import { ProblemError } from '../notices/problem'
import type { FootInput } from '../records/foot'
import type { Section, ShoeInput, SizeStock, WorkshopInput } from '../records/shoe'
import { checkMoved } from '../shoe/moulded/check-moved'
import { sectionOf } from '../terms/size-kinds'
import { checkSize } from '../shoe/check-size'
import { checkFit, resolveFit, type Fit } from '../shoe/fit'
import { checkSection } from '../shoe/section'
import { checkWorkshop, resolveWorkshop, type Workshop } from '../workshop/workshop'

/** What was asked for, with every figure of foot, fit, nails and workshop known and possible by itself. */
export interface Asked extends ReadFoot {
  footInput: FootInput
  shoe: ShoeInput
  section: Section
  /** The factory shoe it is made of, where it is not turned from a bar. */
  stock?: SizeStock
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
  const { stock } = shoe
  const section = stock ? sectionOf(stock.facts) : shoe.section
  const problems = [...(stock ? checkSize(stock.facts) : checkSection(section)), ...checkWorkshop(workshop)]
  if (stock) problems.push(...checkMoved(stock.moved))
  const nailsAsked = askedNails(shoe, footInput)
  // Holes that a factory shoe cannot have are told as its own.
  if (!stock || problems.length === 0) problems.push(...checkNails(nailsAsked))
  const read = readFoot(footInput)
  if (!read.ok) throw new ProblemError([...read.problems, ...problems])
  const { foot } = read.value
  const fit = resolveFit(shoe.fit, foot)
  problems.push(...checkFit(fit, foot))
  if (problems.length > 0) throw new ProblemError(problems)
  return { ...read.value, footInput, shoe, section, fit, nailsAsked, workshop, ...(stock && { stock }) }
}
