import { planShoe, snapshotOf, type Pattern, type StoredPattern } from '@crescent/core'
import { Misplaced, sameContent } from '../../database/record-table'
import type { Practice } from '../../practice'

/**
 * Stores a design with a snapshot of its result.
 *
 * @throws ProblemError when the design cannot be made
 * @throws Misplaced when it would go to another foot or horse
 * @throws Conflict when somebody else changed it
 */
export function savePattern({ patterns }: Practice, pattern: Pattern): StoredPattern {
  const stored = patterns.get(pattern.id)
  if (stored && (stored.horseId !== pattern.horseId || stored.side !== pattern.side))
    throw new Misplaced(`A pattern stays with its foot: this one is for ${stored.side}; make a new one`)
  // Renaming or archiving leaves the recorded result alone, even if today's computation would differ.
  const unchanged = stored && sameContent(designOf(stored), designOf(pattern))
  const result = unchanged
    ? stored.result
    : snapshotOf(planShoe(pattern.foot, pattern.shoe, pattern.workshop))
  return patterns.put({ ...pattern, result })
}

const designOf = ({ id, foot, shoe, workshop }: Pattern) => ({ id, version: 0, foot, shoe, workshop })
