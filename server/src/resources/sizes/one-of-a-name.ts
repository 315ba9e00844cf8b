import { problem, type Problem, type Size } from '@crescent/core'
import type { Practice } from '../../practice'
import { nameOf } from './keep-csv'

/** Two sizes of one name could not be told apart, on the van or in a pattern. One that has its name already keeps it. */
export function oneOfAName({ sizes }: Practice, size: Size): Problem[] {
  const before = sizes.get(size.id)
  if (size.archived || (before && !before.archived && nameOf(before) === nameOf(size))) return []
  const other = sizes.all().some((one) => one.id !== size.id && nameOf(one) === nameOf(size))
  const name = `${size.range} ${size.label}`.trim()
  return other
    ? [problem('label', `There is a “${name}” of this kind for these feet already: give it another name`)]
    : []
}
