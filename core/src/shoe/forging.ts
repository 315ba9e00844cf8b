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
  text: string
}

/** What every shoe from bar takes: toe first, then back branch by branch, level after every step. */
const EVERY_SHOE: readonly ForgingStep[] = [
  { stage: 'mark', text: 'Cut the bar; centre-punch its middle: the middle of the toe. Punch one branch.' },
  { stage: 'toe', text: 'Bend the toe first; level.' },
  { stage: 'toe quarters', text: 'Bend the toe quarters; level.' },
  { stage: 'quarters', text: 'Bend the quarters; level.' },
  { stage: 'heels', text: 'Turn the heels; level. Check width and heel width against the foot’s.' },
  { stage: 'holes', text: 'Stamp the holes on the solid face; knock the slugs out cold.' },
]

/** The whole order of work: every shoe's steps with those the modifications bring, stage by stage. */
export function forgingOrder(steps: readonly ForgingStep[]): ForgingStep[] {
  const rank = ({ stage }: ForgingStep) => FORGING_STAGES.indexOf(stage)
  // A stable sort: within a stage what every shoe takes stands before what is added to it.
  return [...EVERY_SHOE, ...steps].sort((a, b) => rank(a) - rank(b))
}
