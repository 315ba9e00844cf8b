import { cutAt, type SectionCut } from '../modifications/build'
import { checkHolePlaces, placeHoles, type NailHole } from '../nails/holes'
import { clearStretches, type ClearStretch } from '../nails/keep-clear'
import { chooseNail, type Nailing } from '../nails/nailing'
import { judgeNails, type Nail } from '../nails/nails'
import { ProblemError } from '../notices/problem'
import type { Built } from './build'

/** The shoe with its holes, and how a nail goes in each. */
export interface Nailed extends Built {
  holes: NailHole[]
  nails: Nail[]
  nailing: Nailing
  /** What the nails keep clear of, as stretches of the outline. */
  keepClear: ClearStretch[]
}

/**
 * Places the holes and judges the nails.
 *
 * @throws ProblemError where a hole is not on the shoe
 */
export function nailShoe(built: Built): Nailed {
  const { foot, footInput, outline, rims, chosen, context, cuts, workshop } = built
  const plan = chosen.reduce(
    (nailed, { modification, values }) => modification.nails?.(nailed, context, values) ?? nailed,
    built.nailsAsked,
  )
  const misplaced = checkHolePlaces(rims, outline, plan)
  if (misplaced.length > 0) throw new ProblemError(misplaced)
  const holes = placeHoles(foot, outline, rims, plan)
  const keepClear = clearStretches(footInput.keepClear ?? [], outline)
  const padding = chosen.reduce(
    (sum, { modification, values }) => sum + (modification.padding?.(values) ?? 0),
    0,
  )
  const nails = judgeNails(foot, outline, holes, plan, workshop, keepClear, padding)
  const nailing = chooseNail(nails, plan, thicknessAtNails(nails, cuts), padding, workshop.nailSizes)
  return { ...built, holes, nails, nailing, keepClear }
}

/** The thickest steel a driven nail goes through, mm: a wedge makes the hindmost the longest. */
const thicknessAtNails = (nails: readonly Nail[], cuts: readonly SectionCut[]): number =>
  Math.max(
    0,
    ...nails.flatMap(({ driven, branch, fromToe }) =>
      driven ? [cutAt(cuts, branch, fromToe).form.thickness] : [],
    ),
  )
