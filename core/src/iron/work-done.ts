import type { ForgingStep, Moved } from '../modifications/forging'
import type { Worked } from '../modifications/partly-worked'
import { byHalf, type Half } from '../terms/half'

/** What is done when a step is over. */
export interface WorkDone {
  /** How far the metal of each of the chosen modifications is worked. */
  worked: readonly Worked[]
  /** Those whose rim is still to be reworked. */
  undone: ReadonlySet<number>
  /** What closes the shoe behind its heels is turned. */
  closed: boolean
  /** Cut off each heel of a factory shoe, mm. */
  cut: Readonly<Record<Half, number>>
}

const METAL: readonly (Moved | undefined)[] = ['metal', 'heavier', 'lighter']

/**
 * What is done after each step of the work.
 *
 * @param count of the modifications whose metal moves, the first of the chosen
 */
export function workDone(steps: readonly ForgingStep[], count: number): WorkDone[] {
  const stepsOf = (i: number) => steps.filter(({ of }) => of === i)
  // What no step moves is there from the start: what a step does not name, its first one moves.
  const worked = Array.from({ length: count }, (_, i): Worked => (stepsOf(i).length > 0 ? 'not' : 'all'))
  const undone = new Set(steps.flatMap(({ of, moves }) => (of !== undefined && moves === 'rim' ? [of] : [])))
  const cut = { lateral: 0, medial: 0 }
  let closed = false
  return steps.map((step) => {
    const { of, moves, cuts, branch } = step
    if (of !== undefined && of < count) {
      const own = stepsOf(of)
      const named = own.some((one) => METAL.includes(one.moves))
      if (named ? METAL.includes(moves) : step === own[0]) worked[of] = after(worked[of]!, moves)
    }
    if (of !== undefined && moves === 'rim') undone.delete(of)
    if (moves === 'closing') closed = true
    if (cuts && branch) cut[branch] += cuts
    return { worked: [...worked], undone: new Set(undone), closed, cut: byHalf((half) => cut[half]) }
  })
}

/** How far metal is worked that was worked so far and is moved once more. */
const after = (before: Worked, moves: Moved | undefined): Worked =>
  (moves === 'heavier' || moves === 'lighter') && (before === 'not' || before === moves) ? moves : 'all'
