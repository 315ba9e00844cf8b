import type { Problem } from '../../problem'
import { outOfRange } from '../../range'
import type { ShoeInput } from '../../records/shoe'
import { clashOf, modification } from './index'
import type { Modification, ShoeContext, Values } from './modification'

/** A modification on a shoe, with every figure known. */
export interface Chosen {
  modification: Modification
  values: Values
}

/**
 * Completes the modifications of a shoe with their defaults for this foot.
 *
 * @returns them, or every problem: a kind that is not known, a figure out of its range, two that cannot stand together
 */
export function resolveModifications(
  given: ShoeInput['modifications'] = [],
  context: ShoeContext,
): { chosen: Chosen[]; problems: Problem[] } {
  const problems: Problem[] = []
  const chosen: Chosen[] = []
  given.forEach(({ kind, ...figures }, i) => {
    const path = `shoe.modifications.${i}`
    const found = modification(kind)
    if (!found) {
      problems.push({ path: `${path}.kind`, message: `“${kind}” is not a modification that can be planned` })
      return
    }
    const earlier = chosen.find((one) => clashOf(one.modification.kind, kind))
    if (earlier) {
      const reason = clashOf(earlier.modification.kind, kind)!
      problems.push({
        path: `${path}.kind`,
        message: `${found.label} beside ${earlier.modification.label.toLowerCase()}: ${reason}`,
      })
      return
    }
    const read = readValues(found, figures, path, context)
    problems.push(...read.problems)
    if (read.problems.length > 0) return
    const refusal = found.refuse?.(context, read.values)
    if (refusal) problems.push({ path: `${path}.kind`, message: `${found.label}: ${refusal}` })
    else chosen.push({ modification: found, values: read.values })
  })
  return { chosen, problems }
}

function readValues(
  { fields, label, kind }: Modification,
  figures: Record<string, unknown>,
  path: string,
  context: ShoeContext,
): { values: Values; problems: Problem[] } {
  const problems: Problem[] = []
  const values: Record<string, number> = {}
  for (const field of fields) {
    const given = figures[field.key]
    const value = given === undefined ? field.fallback(context) : typeof given === 'number' ? given : NaN
    const range = field.range(context)
    const problem = outOfRange(
      `${path}.${field.key}`,
      `${label}, ${field.label.toLowerCase()}`,
      field.kind,
      value,
      range,
    )
    if (problem && given !== undefined) problems.push(problem)
    values[field.key] = given === undefined ? Math.min(range[1], Math.max(range[0], value)) : value
  }
  for (const key of Object.keys(figures)) {
    if (!fields.some((field) => field.key === key))
      problems.push({ path: `${path}.${key}`, message: `“${key}” is no figure of a ${kind}` })
  }
  return { values, problems }
}
