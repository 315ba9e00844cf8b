import { problem, type Problem } from '../notices/problem'
import { outOfRange } from '../notices/range'
import type { ShoeInput } from '../records/shoe'
import { clashOf, modification, warningOf } from './index'
import type { Modification, ShoeContext, Values } from './modification'
import { told } from '../notices/told'

/** A modification on a shoe, with every figure known. */
export interface Chosen {
  modification: Modification
  values: Values
  /** Its place in the list that was given. */
  at: number
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
    if (found.ofBar && context.ofSize) {
      problems.push({
        path: `${path}.kind`,
        message: `${found.label}: it is made while the bar is straight; take a bar, a factory shoe has no steel for it`,
      })
      return
    }
    if (found.ofMetal && context.section.material === 'polymer') {
      problems.push({
        path: `${path}.kind`,
        message: `${found.label}: it is forged or welded; a moulded shoe is sawn and rasped`,
      })
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
    chosen.push({ modification: found, values: read.values, at: i })
  })
  return { chosen, problems }
}

/** Why a modification cannot be made on the shoe as all of them have laid it. */
export const refusals = (chosen: readonly Chosen[], context: ShoeContext): Problem[] =>
  chosen.flatMap(({ modification, values, at }) => {
    const refusal = modification.refuse?.(context, values)
    return refusal ? [problem(`shoe.modifications.${at}.kind`, told`${modification.label}: ${refusal}`)] : []
  })

/** What is to be thought of modifications that stand together with a warning. */
export const warningsOf = (chosen: readonly Chosen[]): { title: string; text: string }[] =>
  chosen.flatMap(({ modification: one }, i) =>
    chosen.slice(i + 1).flatMap(({ modification: other }) => {
      const text = warningOf(one.kind, other.kind)
      return text ? [{ title: `${one.label} with ${other.label.toLowerCase()}`, text }] : []
    }),
  )

function readValues(
  { fields, label, kind }: Modification,
  figures: Record<string, unknown>,
  path: string,
  context: ShoeContext,
): { values: Values; problems: Problem[] } {
  const problems: Problem[] = []
  const values: Record<string, number | string> = {}
  for (const field of fields) {
    const given = figures[field.key]
    if (field.options) {
      const choice = given ?? field.fallback(context, values)
      if (field.options.includes(choice as string)) values[field.key] = choice as string
      else {
        const message = `${label}, ${field.label.toLowerCase()}: ${JSON.stringify(given)} is not one of ${field.options.join(', ')}`
        problems.push({ path: `${path}.${field.key}`, message })
      }
      continue
    }
    const value =
      given === undefined ? field.fallback(context, values) : typeof given === 'number' ? given : NaN
    const range = field.range(context, values)
    const beyond = outOfRange(
      `${path}.${field.key}`,
      `${label}, ${field.label.toLowerCase()}`,
      field.kind,
      value,
      range,
    )
    if (beyond && given !== undefined) problems.push(beyond)
    values[field.key] = given === undefined ? Math.min(range[1], Math.max(range[0], value)) : value
  }
  for (const key of Object.keys(figures)) {
    if (!fields.some((field) => field.key === key))
      problems.push({ path: `${path}.${key}`, message: `“${key}” is no figure of a ${kind}` })
  }
  return { values, problems }
}
