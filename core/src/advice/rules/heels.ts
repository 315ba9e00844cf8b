import { COMMON, found, type AdviceContext, type AdviceRule } from '../advice'

const forward = (context: AdviceContext): string | undefined => {
  if (found(context, 'run-forward')) return 'The heels have run forward.'
  const { foot } = context
  if (foot?.plumbBehind !== undefined && foot.plumbBehind > 12)
    return 'The heels lie ahead of the plumb line.'
  if (foot && foot.toeAngle - foot.heelAngle > 5) return 'The heels stand far lower than the toe.'
  return undefined
}

/** Heels that run forward, and upright feet. */
export const heels: readonly AdviceRule[] = [
  {
    code: 'heels-supportive',
    topic: 'fit',
    title: 'Length back to the plumb line of the bulbs',
    school: COMMON,
    against: 'Long heels are stepped off in mud, in herds and by a hind foot that reaches.',
    brings: ['long heels'],
    change: { fit: 'supportive' },
    signs: [{ key: 'heels-uncrushed', asks: 'Heels no longer crushed' }],
    reason: forward,
  },
  {
    code: 'heels-breakover',
    topic: 'breakover',
    title: 'Breakover set back while the heels come back',
    school: 'landmark',
    against: 'Needs the widest part, read after the trim.',
    change: { breakoverSchool: 'landmark', modification: 'rolled-toe' },
    signs: [{ key: 'heels-uncrushed', asks: 'Heels no longer crushed' }],
    reason: forward,
  },
  {
    code: 'club-slowly',
    topic: 'care',
    title: 'Lower the heels only little by little',
    school: COMMON,
    against: 'Leaving it alone lets the pair grow further apart.',
    vetLeads: true,
    avoids: ['sinking heels'],
    signs: [{ key: 'heel-meets', asks: 'Heel meets the ground, stride no shorter' }],
    reason: (context) =>
      found(context, 'club') ? 'An upright foot has a shortened tendon behind it.' : undefined,
  },
  {
    code: 'club-breakover',
    topic: 'breakover',
    title: 'Breakover beneath the tip of P3',
    school: 'radiographic',
    against: 'Never without the radiograph.',
    vetLeads: true,
    change: { breakoverSchool: 'radiographic' },
    signs: [{ key: 'toe-whole', asks: 'Toe no longer torn or bruised' }],
    reason: (context) =>
      found(context, 'club', 2) ? 'A club foot breaks over late at the dubbed toe.' : undefined,
  },
]
