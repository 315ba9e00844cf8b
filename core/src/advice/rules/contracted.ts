import { COMMON, found, type AdviceContext, type AdviceRule } from '../advice'

const drawn = (context: AdviceContext, from: number) => found(context, 'contracted', from)

/** Contracted heels: room and time, or the expander. */
export const contracted: readonly AdviceRule[] = [
  {
    code: 'contracted-room',
    topic: 'fit',
    title: 'Room at the heels, nails ahead of the widest part',
    school: COMMON,
    against: 'What stands wide is stepped on.',
    brings: ['wide fit'],
    avoids: ['heel nails'],
    change: { fit: 'general' },
    signs: [{ key: 'heels-wider', asks: 'Heels spread' }],
    reason: (context) =>
      drawn(context, 1) ? 'Contracted heels open only where they are free to spread.' : undefined,
  },
  {
    code: 'contracted-expander',
    topic: 'shoe',
    title: 'Hinged heel expander',
    school: 'mechanical widening',
    against: 'Needs a foot kept soft and a visit every 7 to 10 days for about 90 days. Any pain: stop.',
    vetLeads: true,
    brings: ['bar'],
    change: { modification: 'hinged-expander' },
    signs: [{ key: 'heels-wider', asks: 'Heels spread' }],
    reason: (context) =>
      drawn(context, 3) ? 'Heels this far drawn together seldom open by themselves.' : undefined,
  },
  {
    code: 'contracted-frog',
    topic: 'shoe',
    title: 'Let the frog work: bare, or frog support',
    school: 'natural widening',
    against: 'Slow, and no help where the frog is rotten or the sole sore.',
    brings: ['frog pressure'],
    signs: [{ key: 'frog-fuller', asks: 'Frog fuller, its cleft open' }],
    reason: (context) => (drawn(context, 2) ? 'A frog that bears spreads the heels from within.' : undefined),
  },
]
