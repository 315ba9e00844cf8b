import { cutAt, type SectionCut } from '../modifications/build'
import { checkHolePlaces, placeHoles, type NailHole } from '../nails/holes'
import { clearStretches, type ClearStretch } from '../nails/keep-clear'
import { chooseNail, type Nailing } from '../nails/nailing'
import { leaningAsDrilled, starters, type Starter } from '../nails/drilled'
import { judgeNails, type Nail } from '../nails/nails'
import { ProblemError } from '../notices/problem'
import { CREASE_WIDTH } from '../shoe/moulded/crease-room'
import type { NailPlan } from '../nails/nail-plan'
import type { Built } from './build'

/** The shoe with its holes, and how a nail goes in each. */
export interface Nailed extends Built {
  holes: NailHole[]
  nails: Nail[]
  nailing: Nailing
  /** What the nails keep clear of, as stretches of the outline. */
  keepClear: ClearStretch[]
  /** Of a moulded shoe: where the drill begins at each hole. */
  drilled?: Starter[]
}

/**
 * Places the holes and judges the nails.
 *
 * @throws ProblemError where a hole is not on the shoe
 */
export function nailShoe(built: Built): Nailed {
  const { foot, footInput, outline, rims, chosen, context, cuts, workshop } = built
  const asked = chosen.reduce(
    (nailed, { modification, values }) => modification.nails?.(nailed, context, values) ?? nailed,
    built.nailsAsked,
  )
  const misplaced = checkHolePlaces(rims, outline, asked)
  if (misplaced.length > 0) throw new ProblemError(misplaced)
  const holes = placeHoles(foot, outline, rims, asked)
  const drilled = drilledThrough(built, holes, asked)
  const plan = drilled ? leaningAsDrilled(asked, drilled) : asked
  const keepClear = clearStretches(footInput.keepClear ?? [], outline)
  const padding = chosen.reduce(
    (sum, { modification, values }) => sum + (modification.padding?.(values) ?? 0),
    0,
  )
  const nails = judgeNails(foot, outline, holes, plan, workshop, keepClear, padding)
  const nailing = chooseNail(nails, plan, thicknessAtNails(nails, cuts), padding, workshop.nailSizes)
  return { ...built, holes, nails, nailing, keepClear, ...(drilled && { drilled }) }
}

/** The holes of a shoe that is drilled, through its whole thickness. */
function drilledThrough(
  { moulded, foot, outline, section, rims }: Built,
  holes: readonly NailHole[],
  plan: NailPlan,
): Starter[] | undefined {
  if (!moulded) return undefined
  return starters({ foot, outline }, holes, plan, section.thickness, ({ branch, fromToe }) => {
    const from = moulded.creaseAt(rims.toe + (branch === 'lateral' ? -fromToe : fromToe))
    return [from, from + CREASE_WIDTH]
  })
}

/** The thickest steel a driven nail goes through, mm: a wedge makes the hindmost the longest. */
const thicknessAtNails = (nails: readonly Nail[], cuts: readonly SectionCut[]): number =>
  Math.max(
    0,
    ...nails.flatMap(({ driven, branch, fromToe }) =>
      driven ? [cutAt(cuts, branch, fromToe).form.thickness] : [],
    ),
  )
