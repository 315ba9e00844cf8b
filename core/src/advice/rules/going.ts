import { COMMON, type AdviceContext, type AdviceRule } from '../advice'

const company = ({ look }: AdviceContext): string | undefined => {
  const { going, living } = look.ways
  if (living === 'in a muddy herd') return 'Lives in a muddy herd: what stands out is stepped off.'
  if (going === 'mud') return 'Mud sucks at whatever stands behind the heel.'
  if (living === 'in a herd') return 'Lives in company: long heels are trodden on.'
  return undefined
}

/** What ground and company allow. */
export const going: readonly AdviceRule[] = [
  {
    code: 'mud-herd-fit',
    topic: 'fit',
    title: 'Conservative fit: nothing behind the heel',
    school: COMMON,
    against: 'Less support behind: weak heels want more.',
    avoids: ['long heels', 'trailer', 'wide fit'],
    change: { fit: 'conservative' },
    signs: [{ key: 'stays-on', asks: 'Shoe stays on' }],
    reason: company,
  },
  {
    code: 'lost-shoe',
    topic: 'nails',
    title: 'Look at how it was lost before adding nails',
    school: COMMON,
    against: 'More nails in poor wall tear more of it away.',
    avoids: ['long heels'],
    signs: [{ key: 'stays-on', asks: 'Shoe stays on' }],
    reason: ({ feet }) => (feet.lost ? 'A shoe was lost since the last visit.' : undefined),
  },
]
