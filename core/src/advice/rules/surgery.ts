import { diagnosed, found, type AdviceRule } from '../advice'

/** Wall or sole taken away, tendon injuries: a shoe to the vet's plan. */
export const surgery: readonly AdviceRule[] = [
  {
    code: 'hospital-plate',
    topic: 'shoe',
    title: 'Hospital plate held by screws',
    school: 'common practice',
    against: 'Rot grows under a plate that is not packed; the plate must come off and on as the vet wants.',
    vetLeads: true,
    brings: ['closed sole'],
    change: { modification: 'hospital-plate' },
    reason: (context) =>
      diagnosed(context, 'wall or sole surgery') || found(context, 'puncture')
        ? 'A wound of the sole is kept covered and can be reached.'
        : undefined,
  },
  {
    code: 'resected-heart-bar',
    topic: 'shoe',
    title: 'Heart bar for the wall that is missing',
    school: 'heart bar',
    against: 'Pressure that is too firm bruises; the frog must be sound.',
    vetLeads: true,
    brings: ['frog pressure', 'bar'],
    change: { modification: 'heart-bar' },
    signs: [
      { key: 'walls-closing', asks: 'Wall closing' },
      { key: 'no-bruise', asks: 'No bruise under the plate' },
    ],
    reason: (context) =>
      found(context, 'resected-wall') || found(context, 'separation', 2)
        ? 'Where the wall carries nothing the frog can take a share.'
        : undefined,
  },
  {
    code: 'tendon-support',
    topic: 'shoe',
    title: 'Support behind: length to the bulbs',
    school: 'support behind',
    against: 'Rest and the vet’s plan come first. Heights change with healing.',
    vetLeads: true,
    brings: ['long heels'],
    change: { fit: 'supportive' },
    reason: (context) => diagnosed(context, 'tendon injury'),
  },
]
