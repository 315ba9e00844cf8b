import { founderSign } from '../../look/founder-signs'
import { diagnosed, type AdviceContext, type AdviceRule } from '../advice'

const why = (context: AdviceContext): string | undefined => {
  const said = diagnosed(context, 'founder')
  if (said) return said
  return founderSign(context.findings)
}

/** Founder: the vet leads in everything. */
export const founder: readonly AdviceRule[] = [
  {
    code: 'founder-breakover',
    topic: 'breakover',
    title: 'Breakover beneath the tip of P3',
    school: 'radiographic',
    against: 'Nothing without a radiograph: never by guess.',
    vetLeads: true,
    change: { breakoverSchool: 'radiographic' },
    signs: [{ key: 'turns-easier', asks: 'Stands and turns easier' }],
    reason: why,
  },
  {
    code: 'founder-nails',
    topic: 'nails',
    title: 'Nails only behind the widest part',
    school: 'laminitic feet',
    against: 'On a sound foot no nail stands there: it ties the heels.',
    vetLeads: true,
    brings: ['heel nails'],
    avoids: ['toe nails'],
    change: { nailSchool: 'laminitic' },
    reason: why,
  },
  {
    code: 'founder-heart-bar',
    topic: 'shoe',
    title: 'Heart bar: the frog carries',
    school: 'heart bar',
    against: 'Too firm it bruises bars and frog; it needs the radiograph and a frog that can carry.',
    vetLeads: true,
    brings: ['frog pressure', 'bar'],
    change: { modification: 'heart-bar' },
    signs: [
      { key: 'no-bruise', asks: 'No bruise under the plate' },
      { key: 'rings-even', asks: 'New horn even from toe to heel' },
    ],
    reason: why,
  },
  {
    code: 'founder-four-rail',
    topic: 'shoe',
    title: 'Four-rail plate with impression cushion',
    school: 'therapeutic plate',
    against:
      'Costly and bulky; stepped on in company. The cushion comes close, but only a plate carries at every moment.',
    vetLeads: true,
    brings: ['raised heels'],
    avoids: ['toe nails'],
    reason: why,
  },
  {
    code: 'founder-trim',
    topic: 'care',
    title: 'Trim from the heels, leave the face of the toe',
    school: 'laminitic feet',
    against: 'Only as far as the radiograph allows.',
    vetLeads: true,
    signs: [{ key: 'rings-even', asks: 'New horn even from toe to heel' }],
    reason: why,
  },
]
