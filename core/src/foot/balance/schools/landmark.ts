import type { BreakoverSchool } from '../school'
import { length, told, type Told } from '../../../notices/told'

const INCH = 25.4
/** Ahead of the widest-part line on an ordinary foot, mm: 2 to 2 1/4 in (common practice, no source). */
const AHEAD = [2 * INCH, 2.25 * INCH] as const
/** Widths of foot that count as ordinary, mm: 4 1/4 to 6 in (from memory). */
const ORDINARY = [4.25 * INCH, 6 * INCH] as const
/** Ahead of the tip of P3, mm: 1/4 in (common practice, no source). */
const AHEAD_OF_TIP = INCH / 4

/** From the widest-part line, or from the tip of P3 where it was found. */
export const landmark: BreakoverSchool = {
  key: 'landmark',
  label: 'Landmark',
  rule: told`${length(AHEAD[0])} to ${length(AHEAD[1])} ahead of the widest part, or ${length(AHEAD_OF_TIP)} ahead of the tip of P3.`,
  use: 'Riding horses kept on even cycles.',
  place({ foot, widestKnown }) {
    if (foot.tipFromToe !== undefined) {
      const y = foot.widestFromToe - foot.tipFromToe + AHEAD_OF_TIP
      return {
        found: true,
        y: Math.min(y, foot.widestFromToe),
        used: [`tip of P3${foot.tipBy ? ` by ${foot.tipBy}` : ''}`],
      }
    }
    const lacks: Told[] = []
    if (!widestKnown) lacks.push('the widest part, measured or agreed')
    if (foot.width < ORDINARY[0] || foot.width > ORDINARY[1])
      lacks.push(
        told`a foot from ${length(ORDINARY[0])} to ${length(ORDINARY[1])} wide, for which its rule is made: find the tip of P3 instead`,
      )
    if (lacks.length > 0) return { found: false, lacks }
    return {
      found: true,
      y: Math.min(AHEAD[1], foot.widestFromToe),
      rearY: Math.min(AHEAD[0], foot.widestFromToe),
      used: ['widest part'],
      ...(AHEAD[0] > foot.widestFromToe && { note: 'The toe already ends behind that.' }),
    }
  },
}
