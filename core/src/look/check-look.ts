import { problem, type Problem } from '../notices/problem'
import { outOfRange } from '../notices/range'
import type { Finding, Look } from '../records/look'
import { SIDES } from '../terms/sides'
import { OLD_SHOE_FIGURES, UNTRIMMED_FIGURES, type LookFigure } from './figures'
import { findingKind } from '../terms/finding-kinds'
import { placeNamed } from '../terms/places'

/** What of a look cannot be: a grade its kind does not have, a place it is not found at, a figure no foot has. */
export const lookProblems = (look: Look): Problem[] =>
  SIDES.flatMap((side) => {
    const { findings, asked = [], oldShoe, untrimmed } = look.feet[side]
    return [
      ...findings.flatMap((finding, i) => findingProblems(finding, `feet.${side}.findings.${i}`)),
      ...asked.flatMap((finding, i) => findingProblems(finding, `feet.${side}.asked.${i}`)),
      ...figureProblems(OLD_SHOE_FIGURES, oldShoe, `feet.${side}.oldShoe`),
      ...figureProblems(UNTRIMMED_FIGURES, untrimmed, `feet.${side}.untrimmed`),
    ]
  })

function findingProblems({ kind, grade, place }: Finding, path: string): Problem[] {
  const { label, grades, parts } = findingKind(kind)
  const { label: where, part } = placeNamed(place)
  return [
    ...(grade > grades.length
      ? [problem(`${path}.grade`, `${label}: there is no grade ${grade}, they are 1 to ${grades.length}`)]
      : []),
    ...((parts as readonly string[]).includes(part)
      ? []
      : [problem(`${path}.place`, `${label} is not found here: ${where}`)]),
  ]
}

const figureProblems = <K extends string>(
  figures: readonly LookFigure<K>[],
  given: Partial<Record<K, number>>,
  path: string,
): Problem[] =>
  figures.flatMap(({ key, label, kind, range }) => {
    const value = given[key]
    return value === undefined ? [] : (outOfRange(`${path}.${key}`, label, kind, value, range) ?? [])
  })
