import type { Correction } from '../records/try'
import { partAt } from '../terms/trying'
import type { PlannedBend } from './bend-plan'
import { branchLength, type Centreline } from './centreline'

/** The bends that were made, as they are logged. */
export const correctionsOf = (bends: readonly PlannedBend[], pattern: Centreline): Correction[] =>
  bends.map(({ branch, fromToe, angle, heelMoves }) => ({
    ...{ branch, angle, heelMoves },
    at: partAt(fromToe / branchLength(pattern, branch)),
  }))
