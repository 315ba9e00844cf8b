import {
  beforeShoe,
  closedGates,
  newLook,
  problem,
  SIDES,
  workOf,
  type FootRecord,
  type Look,
  type Problem,
  type Visit,
} from '@crescent/core'
import type { Practice } from '../../practice'

/** What of a visit is known, as far as its gates need it. */
interface Known {
  stored: Visit | undefined
  look: Look
  records: readonly Pick<FootRecord, 'side' | 'patternId'>[]
}

/**
 * What stands in the way of a visit as it is sent: it is not finished past what calls for the vet and nobody has answered,
 * and no foot is newly told to be shod where nothing may go on. What stood so before stays.
 */
export function gateProblems(visit: Visit, { stored, look, records }: Known): Problem[] {
  const finishes = visit.state === 'done' && stored?.state !== 'done'
  const open = finishes ? closedGates(look) : []
  const before = workOf(stored?.feet ?? {}, finishes ? [] : records)
  const work = workOf(visit.feet, records)
  const shod = SIDES.flatMap((side) => {
    const now = work[side]
    if ((now !== 'shod' && now !== 'reset') || before[side] === now) return []
    const [gate] = beforeShoe(look, side)
    return gate
      ? [problem(`feet.${side}.work`, `${gate.title}: no shoe goes on ${side}. ${gate.action}`)]
      : []
  })
  return [
    ...open.map(({ title, action }) =>
      problem('state', `${title}: this calls for the vet, and nobody has answered it. ${action}`),
    ),
    ...shod,
  ]
}

/** The gates of a visit by what is stored: its own look, else what the visit before left open. */
export function gatesHold(practice: Practice, visit: Visit): Problem[] {
  const before = practice.looks.before(visit)
  const look = practice.looks.ofVisit(visit.id) ?? newLook(visit.id, visit.id, before)
  return gateProblems(visit, {
    stored: practice.visits.get(visit.id),
    look,
    records: practice.footRecords.ofVisit(visit.id),
  })
}
