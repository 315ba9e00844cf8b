import type { Side } from '../records/foot'
import type { FootLook, Look } from '../records/look'
import { leftOpen } from './carry'
import { findingGates } from './gates'

const bare = (): FootLook => ({ findings: [], oldShoe: {}, untrimmed: {}, solePlane: '' })

/**
 * The look at a new visit: what is lasting is carried over from the one before (the vet's word, work, going, living),
 * what changes from visit to visit is not. Findings are carried by their questions, see `openQuestions`.
 *
 * @param id made by the caller, so that a repeated save is harmless
 */
export function newLook(id: string, visitId: string, before?: Look): Look {
  const look: Look = {
    id,
    version: 0,
    visitId,
    vet: before?.vet ?? { diagnosis: 'none', words: '', limits: '', who: '', on: '' },
    ways: before ? { ...before.ways, notes: '' } : { interference: [], notes: '' },
    feet: {
      LF: carried(before, 'LF'),
      RF: carried(before, 'RF'),
      LH: carried(before, 'LH'),
      RH: carried(before, 'RH'),
    },
    advice: [],
    acknowledged: [],
  }
  // What was read of a finding is not asked again while it stands as it did. Whether a shoe may go on is: that was of the day.
  const stands = new Set(findingGates(look).map(({ key }) => key))
  const read = (before?.acknowledged ?? []).filter(({ gate }) => stands.has(gate))
  return { ...look, acknowledged: read.map(({ allows: _ofTheDay, ...one }) => one) }
}

/**
 * How a horse is built does not change between visits; what was found, and what should come of what was agreed, is asked
 * until it is answered.
 */
function carried(before: Look | undefined, side: Side): FootLook {
  const foot = before?.feet[side]
  const asked = foot ? leftOpen(foot) : []
  const goesOn = (foot?.lookedFor ?? []).filter(({ ended }) => !ended)
  return {
    ...bare(),
    ...(foot?.frontLine && { frontLine: foot.frontLine }),
    ...(foot?.sideLine && { sideLine: foot.sideLine }),
    ...(asked.length > 0 && { asked }),
    ...(goesOn.length > 0 && { lookedFor: goesOn }),
  }
}
