import type { BreakoverSchool } from '../school'

/** One third of the bearing ahead of the true apex, two thirds behind it. */
export const thirds: BreakoverSchool = {
  key: 'thirds',
  label: 'Thirds',
  rule: 'One third of the bearing ahead of the true frog apex, two thirds behind.',
  use: 'A quick rule in the field.',
  place({ foot, assumed, heelEndY }) {
    if (assumed.includes('frogApex')) return { found: false, lacks: ['the true frog apex'] }
    const apexY = foot.widestFromToe - foot.frogApex
    const y = apexY + (apexY - heelEndY) / 2
    const beyond = y > foot.widestFromToe
    return {
      found: true,
      y: Math.min(y, foot.widestFromToe),
      used: ['true frog apex', 'heel end of the shoe'],
      ...(beyond && { note: 'The rule would lie ahead of the toe: the toe is where it ends.' }),
    }
  },
}
