import type { BreakoverSchool } from '../school'

/** The shoe follows the trimmed toe. */
export const perimeter: BreakoverSchool = {
  key: 'perimeter',
  label: 'Perimeter',
  rule: 'The shoe follows the trimmed toe, rolled where the worn shoe shows it.',
  use: 'The traditional fit.',
  place({ foot }) {
    const toe = foot.widestFromToe
    if (foot.wornBreakover === undefined) return { found: true, y: toe, used: ['trimmed toe'] }
    return {
      found: true,
      y: toe - foot.wornBreakover,
      used: ['trimmed toe', 'wear of the old shoe'],
      note: 'The shoe follows the trimmed toe; its ground edge is rolled back to where the old shoe was worn.',
    }
  },
}
