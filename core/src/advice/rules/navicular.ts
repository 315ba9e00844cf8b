import { diagnosed, type AdviceContext, type AdviceRule } from '../advice'

const why = (context: AdviceContext): string | undefined =>
  context.side.endsWith('F') ? diagnosed(context, 'navicular pain') : undefined

/** Pain at the back of the foot. */
export const navicular: readonly AdviceRule[] = [
  {
    code: 'navicular-early-breakover',
    topic: 'breakover',
    title: 'Breakover set well back',
    school: 'landmark',
    against: 'The foot bears less ahead: watch how much of it lies ahead of the widest part.',
    vetLeads: true,
    change: { breakoverSchool: 'landmark' },
    signs: [{ key: 'stride-longer', asks: 'Stride longer' }],
    reason: why,
  },
  {
    code: 'navicular-wedge',
    topic: 'modification',
    title: 'Raise the heels a little',
    school: 'raised heels',
    against: 'Raised heels crush in time and load what lies behind.',
    vetLeads: true,
    brings: ['raised heels'],
    change: { modification: 'wedge' },
    signs: [
      { key: 'stride-longer', asks: 'Stride longer' },
      { key: 'heels-uncrushed', asks: 'Heels not crushed under the wedge' },
    ],
    reason: why,
  },
  {
    code: 'navicular-egg-bar',
    topic: 'shoe',
    title: 'Egg bar: bearing back under the bulbs',
    school: 'support behind',
    against: 'The longest heel there is: stepped off in mud and in herds.',
    vetLeads: true,
    brings: ['long heels', 'bar'],
    change: { modification: 'egg-bar' },
    signs: [{ key: 'stride-longer', asks: 'Stride longer' }],
    reason: why,
  },
]
