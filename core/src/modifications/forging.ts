import { HALVES, type Half } from '../terms/half'
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

/**
 * What a step changes in the metal of its modification, or in the run of the bar: all of its metal, only where that makes the
 * bar heavier or only where lighter, the rim that is reworked once the branch is bent, the bar that closes the shoe behind.
 */
export type Moved = 'metal' | 'heavier' | 'lighter' | 'rim' | 'closing'

/** Something to do while the shoe is made. */
export interface ForgingStep {
  stage: ForgingStage
  text: Told
  /** Where it is done to one branch alone. */
  branch?: Half
  /** What it moves. Where no step of a modification says so, its first moves all of its metal. */
  moves?: Moved
  /** Off a heel of a factory shoe, mm. */
  cuts?: number
  /** Which of the chosen modifications it belongs to; none is what every shoe takes. */
  of?: number
}

/** What every shoe from bar takes: toe first, then back branch by branch, level after every step. */
const FROM_BAR: readonly ForgingStep[] = [
  { stage: 'toe', text: 'Bend the toe first; level.' },
  { stage: 'toe quarters', text: 'Bend the toe quarters; level.' },
  { stage: 'quarters', branch: 'lateral', text: 'Turn the outer branch through its quarter; level.' },
  { stage: 'quarters', branch: 'medial', text: 'Turn the inner branch through its quarter; level.' },
  { stage: 'heels', text: 'Turn the heels; level. Check width and heel width against the foot’s.' },
  { stage: 'holes', text: 'Stamp the holes on the solid face; knock the slugs out cold.' },
]

/** Branches no further apart than this are marked at half the bar, mm. */
const EVEN = inches(1 / 16)

/** A factory shoe opened or closed by less than this is left as wide as it is, mm. */
const NOT_MOVED = inches(1 / 32)

/** The first mark: at half the bar only where both branches take the same of it. */
function firstMark({ lateral, medial }: Record<Half, number>): ForgingStep {
  const text =
    Math.abs(lateral - medial) <= EVEN
      ? 'Cut the bar; centre-punch its middle: the middle of the toe. Punch one branch.'
      : `Cut the bar; centre-punch the middle of the toe, which lies nearer the ${lateral < medial ? 'outer' : 'inner'} end: it is not the middle of the bar. Punch one branch.`
  return { stage: 'mark', text }
}

/**
 * What a shoe from straight bar takes, whatever is made of it.
 *
 * @param branches bar each takes, toe mark to end, mm
 */
export const fromBar = (branches: Record<Half, number>): ForgingStep[] => [firstMark(branches), ...FROM_BAR]

/** What of a heel is worth cutting off, mm, and by how much a factory shoe is opened or, minus, closed. */
interface FromBox {
  heelToCut?: Record<Half, number>
  openBy?: number
}

/** What a factory shoe takes that can be bent: it is shaped as a bar is turned, from the toe back. */
export function fromBox({ heelToCut, openBy = 0 }: FromBox): ForgingStep[] {
  const heelsOff = HALVES.flatMap((branch): ForgingStep[] => {
    const off = heelToCut?.[branch] ?? 0
    if (off <= 0) return []
    const whose = branch === 'lateral' ? 'outer' : 'inner'
    return [
      {
        stage: 'heels',
        branch,
        cuts: off,
        text: told`Cut ${length(off)} off the ${whose} heel; round its end.`,
      },
    ]
  })
  const all =
    Math.abs(openBy) < NOT_MOVED
      ? 'It is as wide as the foot wants it.'
      : openBy > 0
        ? told`In all it opens by ${length(openBy)} at its widest.`
        : told`In all it closes by ${length(-openBy)} at its widest.`
  return [
    {
      stage: 'mark',
      text: told`Mark the middle of its toe; punch one branch, so that left and right never swap. ${all}`,
    },
    { stage: 'toe', text: 'Set the toe to the foot’s shape; level.' },
    { stage: 'toe quarters', text: 'Set the toe quarters; level.' },
    { stage: 'quarters', branch: 'lateral', text: 'Set the outer branch at its quarter; level.' },
    { stage: 'quarters', branch: 'medial', text: 'Set the inner branch at its quarter; level.' },
    { stage: 'heels', text: 'Set the heels; level. Check width and heel width against the foot’s.' },
    ...heelsOff,
  ]
}

/**
 * The whole order of work: what the shoe takes by itself with what the modifications bring, stage by stage.
 *
 * @param base from the bar, or from the box
 */
export function forgingOrder(steps: readonly ForgingStep[], base: readonly ForgingStep[]): ForgingStep[] {
  const rank = ({ stage }: ForgingStep) => FORGING_STAGES.indexOf(stage)
  // A stable sort: within a stage what every shoe takes stands before what is added to it.
  return [...base, ...steps].sort((a, b) => rank(a) - rank(b))
}
