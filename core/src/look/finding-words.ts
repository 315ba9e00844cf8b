import type { Look } from '../records/look'
import { findingKind } from '../terms/finding-kinds'
import { SIDES } from '../terms/sides'
import { standing } from './carry'

/** What was found at a visit in a line: `LF abscess or track (running), RH crack (deep)`; the gravest first on each foot. */
export const findingWords = ({ feet }: Pick<Look, 'feet'>): string =>
  SIDES.flatMap((side) => {
    const found = [...standing(feet[side].findings)].sort((a, b) => gravity(b) - gravity(a))
    const words = found.map(
      ({ kind, grade }) =>
        `${findingKind(kind).label.toLowerCase()} (${findingKind(kind).grades[grade - 1] ?? ''})`,
    )
    return words.length > 0 ? [`${side} ${words.join(', ')}`] : []
  }).join('; ')

/** Those that call for the vet before those that do not. */
const gravity = ({ kind, grade }: { kind: Parameters<typeof findingKind>[0]; grade: number }): number => {
  const { vetFrom } = findingKind(kind)
  return vetFrom !== undefined && grade >= vetFrom ? 10 + grade : grade
}
