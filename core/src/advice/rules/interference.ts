import { COMMON, type AdviceRule } from '../advice'

/** One foot hits the other leg or foot. */
export const interference: readonly AdviceRule[] = [
  {
    code: 'brushes-inner',
    topic: 'fit',
    title: 'Inner branch close and safed',
    school: COMMON,
    against: 'A tight inner heel has no room to spread: short cycles.',
    avoids: ['wide fit'],
    change: { modification: 'safeing' },
    signs: [{ key: 'unmarked', asks: 'No fresh marks of brushing' }],
    reason: ({ look }) => (look.ways.interference.includes('brushes') ? 'The horse brushes.' : undefined),
  },
  {
    code: 'reach-fore',
    topic: 'breakover',
    title: 'Fore feet off the ground sooner: breakover back',
    school: 'landmark',
    against: 'Too far back the foot bears too little ahead.',
    avoids: ['long heels'],
    change: { breakoverSchool: 'landmark' },
    signs: [{ key: 'clears', asks: 'Fore and hind clear each other' }],
    reason: ({ look, side }) =>
      side.endsWith('F') && look.ways.interference.some((one) => one === 'overreaches' || one === 'forges')
        ? 'The hind foot reaches the fore before it is gone.'
        : undefined,
  },
  {
    code: 'reach-hind',
    topic: 'modification',
    title: 'Hind toe set back and safed, heels with a little length',
    school: COMMON,
    against: 'Where the horse lives in company hind length is stepped on.',
    brings: ['long heels'],
    signs: [{ key: 'clears', asks: 'Fore and hind clear each other' }],
    reason: ({ look, side }) =>
      side.endsWith('H') && look.ways.interference.some((one) => one === 'overreaches' || one === 'forges')
        ? 'The hind foot arrives too far ahead.'
        : undefined,
  },
]
