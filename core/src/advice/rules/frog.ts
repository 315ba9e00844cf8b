import { COMMON, found, type AdviceRule } from '../advice'

/** Rotten and shrunken frogs. */
export const frog: readonly AdviceRule[] = [
  {
    code: 'rot-open',
    topic: 'care',
    title: 'Keep sole and frog open, clean and dry',
    school: COMMON,
    against: 'A tender sole on stones may need cover all the same.',
    avoids: ['closed sole', 'frog pressure'],
    signs: [{ key: 'frog-dry', asks: 'Frog dry and firm' }],
    reason: (context) => (found(context, 'rot') ? 'Rot thrives where no air comes.' : undefined),
  },
  {
    code: 'frog-support',
    topic: 'modification',
    title: 'Give the frog something to do: packing or frog support',
    school: COMMON,
    against: 'Too firm it bruises.',
    brings: ['frog pressure'],
    signs: [{ key: 'frog-fuller', asks: 'Frog fuller, its cleft open' }],
    reason: (context) => (found(context, 'frog-small') ? 'A frog that bears nothing shrinks.' : undefined),
  },
]
