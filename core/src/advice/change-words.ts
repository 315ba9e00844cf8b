import { SCHOOLS_OF_NAILING } from '../nails/schools'
import { FIT_PRESETS } from '../shoe/fit'
import { modification } from '../modifications/index'
import type { AdviceChange } from './advice'

/** What accepting advice does to the shoe on the Bench, as clauses: `sets the fit to conservative`. None where it only stands on record. */
export function changeClauses({
  fit,
  driven,
  breakoverSchool,
  nailSchool,
  modification: kind,
}: AdviceChange = {}): string[] {
  const list = (holes: readonly number[]) => (holes.length === 0 ? 'none' : holes.join(', '))
  return [
    ...(fit ? [`sets the fit to ${FIT_PRESETS.find(({ name }) => name === fit)!.label.toLowerCase()}`] : []),
    ...(kind ? [`puts on: ${modification(kind)?.label.toLowerCase() ?? kind}`] : []),
    ...(driven ? [`drives outer holes ${list(driven.lateral)} and inner holes ${list(driven.medial)}`] : []),
    ...(nailSchool
      ? [
          `keeps the nails to the limits of the ${SCHOOLS_OF_NAILING.find(({ name }) => name === nailSchool)!.label.toLowerCase()}`,
        ]
      : []),
    ...(breakoverSchool ? [`takes the breakover of the ${breakoverSchool} school`] : []),
  ]
}
