import type { AdviceContext, AdviceRule } from '../advice'

const outside = ({ feet }: AdviceContext): boolean =>
  feet.landing === 'outside first' || feet.oldShoe.wear === 'outside'

/** How the foot meets the ground. */
export const landing: readonly AdviceRule[] = [
  {
    code: 'outside-wide-branch',
    topic: 'modification',
    title: 'Wide outer branch',
    school: 'wide outer branch',
    against: 'In hard going width does not float: look at the trim first.',
    brings: ['wide fit'],
    change: { modification: 'wide-outer-branch' },
    signs: [
      { key: 'lands-even', asks: 'Lands flatter' },
      { key: 'flare-smaller', asks: 'Flare smaller' },
    ],
    reason: (context) =>
      outside(context) ? 'The foot is loaded on its outside: breadth there sinks less.' : undefined,
  },
  {
    code: 'outside-trailer',
    topic: 'modification',
    title: 'Lateral trailer',
    school: 'trailer',
    against: 'Stepped off in mud and in herds; it turns the foot at each step and loads the joints.',
    brings: ['trailer', 'long heels', 'grip'],
    change: { modification: 'trailer' },
    signs: [{ key: 'lands-even', asks: 'Lands flatter' }],
    reason: (context) =>
      context.side.endsWith('H') &&
      (outside(context) || context.look.ways.interference.includes('cross-fires'))
        ? 'A hind foot that swings in or lands on its outside is guided by a trailer.'
        : undefined,
  },
  {
    code: 'toe-first',
    topic: 'care',
    title: 'Landing toe first: look for pain at the back of the foot',
    school: 'common practice',
    against: 'A long heel or a worn toe does it too.',
    vetLeads: true,
    signs: [{ key: 'lands-heel', asks: 'Lands heel first or flat' }],
    reason: ({ feet }) =>
      feet.landing === 'toe first' ? 'A foot that lands toe first is sparing its heels.' : undefined,
  },
]
