import { COMMON, found, type AdviceContext, type AdviceRule } from '../advice'

const tender = (context: AdviceContext): string | undefined => {
  if (found(context, 'thin-sole')) return 'Thin sole.'
  if (found(context, 'bruise')) return 'Bruised sole.'
  if (found(context, 'flat-sole', 2)) return 'Flat sole.'
  return undefined
}

/** What the sole asks for: sole contact is argued. */
export const sole: readonly AdviceRule[] = [
  {
    code: 'seat-out',
    topic: 'modification',
    title: 'Seat the foot surface out: steel must not touch the sole',
    school: 'steel clear of the sole',
    against: 'Stones pack under a wide web.',
    avoids: ['steel on the sole'],
    change: { modification: 'seating-out' },
    signs: [{ key: 'sole-unmarked', asks: 'No bruise where steel came near' }],
    reason: tender,
  },
  {
    code: 'polymer-rim',
    topic: 'shoe',
    title: 'Flexible polymer shoe on a flat rim of sole',
    school: 'sole carries a share',
    against: 'Costs more, cannot be widened, and needs a sole that is not sore at its rim.',
    brings: ['steel on the sole'],
    signs: [{ key: 'sole-unmarked', asks: 'No bruise on the sole' }],
    reason: (context) =>
      found(context, 'flat-sole') ? 'A flat sole can carry a share on a shoe that gives.' : undefined,
  },
  {
    code: 'pad',
    topic: 'modification',
    title: 'Pad, always packed',
    school: COMMON,
    against: 'Rot grows under it where it is not packed.',
    brings: ['closed sole'],
    change: { modification: 'pad' },
    signs: [
      { key: 'sole-unmarked', asks: 'No bruise on the sole' },
      { key: 'frog-dry', asks: 'Dry and firm under the pad' },
    ],
    reason(context) {
      const why = tender(context)
      const { going } = context.look.ways
      return why && (going === 'rock' || going === 'road') ? `${why} This horse goes on ${going}.` : undefined
    },
  },
]
