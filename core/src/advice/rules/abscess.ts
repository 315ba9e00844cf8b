import { COMMON, found, type AdviceContext, type AdviceRule } from '../advice'

const running = (context: AdviceContext): string | undefined =>
  found(context, 'track', 2)
    ? 'An abscess that is fresh or runs.'
    : found(context, 'puncture')
      ? 'A wound of the sole.'
      : undefined

/** Abscess and puncture: the vet opens, the shoe waits. */
export const abscess: readonly AdviceRule[] = [
  {
    code: 'abscess-open',
    topic: 'care',
    title: 'No shoe: the vet opens and drains it, packed daily until it stays dry',
    school: COMMON,
    against: 'Nailing over it closes pus in; a horse that must travel may need a boot, as the vet says.',
    vetLeads: true,
    avoids: ['closed sole', 'frog pressure', 'grip'],
    signs: [
      { key: 'dry', asks: 'Dry where it drained' },
      { key: 'sound', asks: 'Sound at the walk' },
    ],
    reason: running,
  },
  {
    code: 'abscess-plate',
    topic: 'shoe',
    title: 'Hospital plate once the vet allows a shoe',
    school: COMMON,
    against: 'Only when it is opened and the vet wants it dressed under cover; never to close it in.',
    vetLeads: true,
    brings: ['closed sole'],
    reason: (context) => (found(context, 'track', 3) ? running(context) : undefined),
  },
]
