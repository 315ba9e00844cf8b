import { ProblemError, type Half, type Problem } from '@crescent/core'
import {
  planBends,
  TOLERANCE,
  type AnvilShape,
  type BendTarget,
  type ToldBendPlan,
} from '@crescent/core/anvil'

/** What bends are wanted for. */
export interface AskedBends {
  target: BendTarget
  shape: AnvilShape
  /** That may be bent: where only one was seen off, the other is left alone. */
  branches?: readonly Half[]
}

/** What is planned for the shoe on the anvil, or why it is not. */
export interface Tried {
  plan?: ToldBendPlan
  problems: readonly Problem[]
}

export function triedBends({ target, shape, branches }: AskedBends): Tried {
  try {
    return { plan: planBends(target, shape, TOLERANCE, branches), problems: [] }
  } catch (error) {
    if (error instanceof ProblemError) return { problems: error.problems }
    throw error
  }
}
