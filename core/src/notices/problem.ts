import { PLAIN, type WrittenKind } from '../units/figure'
import { writeTold, type Told } from './told'

/** One thing wrong with what was put in. Nothing is computed while a problem stands. */
export interface Problem {
  /** Where in the input, dots between names: `foot.heelWidth`. */
  path: string
  /** What is wrong, in words, lengths in mm. */
  message: string
  /** The same with its lengths left open, where it holds any; a screen writes it in its own unit. */
  told?: Told
  /** The figure by its field name, where the problem is one of range. */
  figure?: string
  kind?: WrittenKind
  value?: number
  /** The possible range, lengths in mm, angles in degrees. */
  range?: readonly [number, number]
}

/** A problem told in a sentence. */
export const problem = (path: string, sentence: Told): Problem => ({
  path,
  message: writeTold(sentence, PLAIN),
  ...(typeof sentence !== 'string' && { told: sentence }),
})

/** Thrown by the core when the input cannot be worked with; carries every problem found. */
export class ProblemError extends Error {
  constructor(readonly problems: readonly Problem[]) {
    super(problems.map((p) => p.message).join('; '))
    this.name = 'ProblemError'
  }
}
