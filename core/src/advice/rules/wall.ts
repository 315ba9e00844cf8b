import { thinnerWall } from '../../foot/thinner-wall'
import { COMMON, found, type AdviceContext, type AdviceRule } from '../advice'

const thin = (context: AdviceContext): string | undefined => {
  if (found(context, 'thin-wall')) return 'Thin wall.'
  if (context.foot && thinnerWall(context.foot) < 6.5) return 'The wall measures thin at the nails.'
  return undefined
}

/** What the wall asks for. */
export const wall: readonly AdviceRule[] = [
  {
    code: 'thin-wall-clips',
    topic: 'modification',
    title: 'Two quarter clips and four nails',
    school: COMMON,
    against: 'A clip that is hammered on instead of let in presses; four nails hold less in deep going.',
    avoids: ['many nails', 'heavy shoe'],
    change: { driven: { lateral: [1, 3], medial: [1, 3] }, modification: 'quarter-clips' },
    signs: [{ key: 'holes-hold', asks: 'Nail holes hold' }],
    reason: thin,
  },
  {
    code: 'toe-clip',
    topic: 'modification',
    title: 'Toe clip',
    school: 'toe clip',
    against: 'Others draw two quarter clips: they hold against turning and leave the toe free to roll.',
    change: { modification: 'toe-clip' },
    reason: (context) =>
      context.feet.lost && !thin(context)
        ? 'A lost shoe: a clip is reckoned to hold like about two nails.'
        : undefined,
  },
  {
    code: 'broken-wall-nails',
    topic: 'nails',
    title: 'No nail into broken wall: punch the holes where there is horn',
    school: COMMON,
    against: 'Nails crowded together weaken what is left.',
    avoids: ['many nails'],
    signs: [{ key: 'holes-hold', asks: 'Nail holes hold' }],
    reason: (context) =>
      found(context, 'broken-wall') ? 'The wall is broken where nails would go.' : undefined,
  },
  {
    code: 'separation-nails',
    topic: 'nails',
    title: 'Keep nails clear of the separated wall',
    school: COMMON,
    against: 'Few nails: let clips or a bar take a share.',
    avoids: ['many nails'],
    signs: [{ key: 'walls-closing', asks: 'Wall closing' }],
    reason: (context) =>
      found(context, 'separation') ? 'Separated wall holds nothing and may hide disease.' : undefined,
  },
  {
    code: 'flare-fit',
    topic: 'fit',
    title: 'Dress the flare first, fit to the line the wall should follow',
    school: COMMON,
    against: 'Taken too thin the wall no longer carries a nail.',
    avoids: ['wide fit'],
    signs: [{ key: 'flare-smaller', asks: 'Flare smaller' }],
    reason: (context) =>
      found(context, 'flare') ? 'A flare pulls the wall away and moves the widest part.' : undefined,
  },
  {
    code: 'crack-support',
    topic: 'modification',
    title: 'A clip each side of the crack, wall under it relieved',
    school: COMMON,
    against: 'Relief without support at its sides only moves the crack.',
    signs: [{ key: 'crack-still', asks: 'Crack still, and growing out' }],
    reason: (context) => (found(context, 'crack', 2) ? 'A deep crack opens at each step.' : undefined),
  },
]
