import { COMMON, found, type AdviceContext, type AdviceRule } from '../advice'

/** Usual cycles run 6 to 8 weeks, none longer than 10 (common practice, no source). */
const LONGEST = 10

const shorter = (context: AdviceContext): string | undefined => {
  const { weeksSince, cycleWeeks } = context
  if (weeksSince !== undefined && weeksSince > LONGEST)
    return `${Math.round(weeksSince)} weeks since the last shoeing.`
  if (found(context, 'run-forward', 2)) return 'The heels run forward towards the end of the cycle.'
  if (found(context, 'flare', 2) && cycleWeeks > 6) return 'The wall flares within the cycle.'
  const { breakover, heelEnds } = context.feet.oldShoe
  if (breakover !== undefined && heelEnds !== undefined && heelEnds < -5)
    return 'At the end of the cycle the old shoe ended ahead of the heels.'
  return undefined
}

/** How long until the next visit. */
export const cycle: readonly AdviceRule[] = [
  {
    code: 'shorter-cycle',
    topic: 'cycle',
    title: 'A shorter cycle',
    school: COMMON,
    against: 'More nail holes in the same horn.',
    avoids: ['long cycle'],
    signs: [{ key: 'balance-held', asks: 'Balance held to the end of the cycle' }],
    reason: shorter,
  },
]
