import { ProblemError, type Plan, type Problem } from '@crescent/core'

/** A workshop whose figures are not known yet. */
export const NO_FIGURES = {}

/** A plan, or why there is none. */
export interface Planning {
  plan: Plan | undefined
  problems: readonly Problem[]
}

/** Nothing is on the Bench. */
export const UNPLANNED: Planning = { plan: undefined, problems: [] }

/** Plans, and takes problems for an answer. */
export function tryPlan(make: () => Plan): Planning {
  try {
    return { plan: make(), problems: [] }
  } catch (error) {
    if (error instanceof ProblemError) return { plan: undefined, problems: error.problems }
    throw error
  }
}
