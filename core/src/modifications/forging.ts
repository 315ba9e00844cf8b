import type { Half } from '../terms/half'
import { inches } from '../units/length'
import { length, told, type Told } from '../notices/told'

/** Stages of making a shoe, in the order of the work (common practice, no source). */
export const FORGING_STAGES = [
  'mark',
  'upset',
  'clips',
  'toe',
  'toe quarters',
  'quarters',
  'heels',
  'weld',
  'crease',
  'holes',
  'edges',
  'pieces',
  'on the foot',
] as const
export type ForgingStage = (typeof FORGING_STAGES)[number]

/** Something to do while the shoe is made. */
export interface ForgingStep {
  stage: ForgingStage
  text: Told
}

/** What every shoe from bar takes: toe first, then back branch by branch, level after every step. */
const EVERY_SHOE: readonly ForgingStep[] = [
  { stage: 'toe', text: 'Bend the toe first; level.' },
  { stage: 'toe quarters', text: 'Bend the toe quarters; level.' },
  { stage: 'quarters', text: 'Bend the quarters; level.' },
  { stage: 'heels', text: 'Turn the heels; level. Check width and heel width against the foot’s.' },
  { stage: 'holes', text: 'Stamp the holes on the solid face; knock the slugs out cold.' },
]

/** Branches no further apart than this are marked at half the bar, mm. */
const EVEN = inches(1 / 16)

/** The first mark: at half the bar only where both branches take the same of it. */
function firstMark({ lateral, medial }: Record<Half, number>): ForgingStep {
  const text =
    Math.abs(lateral - medial) <= EVEN
      ? 'Cut the bar; centre-punch its middle: the middle of the toe. Punch one branch.'
      : told`Cut the bar; centre-punch the middle of the toe ${length(lateral)} from the outer end, ${length(medial)} from the inner: it is not the middle of the bar. Punch one branch.`
  return { stage: 'mark', text }
}

/**
 * The whole order of work: every shoe's steps with those the modifications bring, stage by stage.
 *
 * @param branches bar each takes, toe mark to end, mm
 */
export function forgingOrder(steps: readonly ForgingStep[], branches: Record<Half, number>): ForgingStep[] {
  const rank = ({ stage }: ForgingStep) => FORGING_STAGES.indexOf(stage)
  // A stable sort: within a stage what every shoe takes stands before what is added to it.
  return [firstMark(branches), ...EVERY_SHOE, ...steps].sort((a, b) => rank(a) - rank(b))
}
