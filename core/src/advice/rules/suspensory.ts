import { diagnosed, type AdviceContext, type AdviceRule } from '../advice'

const strained = (context: AdviceContext): string | undefined => diagnosed(context, 'suspensory strain')

/** Suspensory strain: the two schools side by side. */
export const suspensory: readonly AdviceRule[] = [
  {
    code: 'suspensory-wedge',
    topic: 'modification',
    title: 'Raise the heels (wedge)',
    school: 'raised heels',
    against: 'A steeper hoof lengthens the limb and the fetlock makes up for it: it may sink further.',
    vetLeads: true,
    brings: ['raised heels'],
    avoids: ['sinking heels'],
    change: { modification: 'wedge' },
    signs: [{ key: 'fetlock-higher', asks: 'Fetlock stands higher, limb cool' }],
    reason: (context) =>
      strained(context) && `${strained(context)!} One school eases it by raising the heels.`,
  },
  {
    code: 'suspensory-sinking-heels',
    topic: 'modification',
    title: 'Wide toe, narrow heels that sink',
    school: 'sinking heels',
    against: 'It works only in soft going; on hard ground it does nothing.',
    vetLeads: true,
    brings: ['sinking heels'],
    avoids: ['raised heels'],
    change: { modification: 'wide-toe' },
    signs: [{ key: 'fetlock-higher', asks: 'Fetlock stands higher, limb cool' }],
    reason(context) {
      const said = strained(context)
      if (!said) return undefined
      const hard = context.look.ways.going === 'road' || context.look.ways.going === 'rock'
      return `${said} The other school lets the heels sink so that the fetlock need not.${hard ? ' But this horse goes on hard ground, where it does nothing.' : ''}`
    },
  },
]
