import type { Half } from '../terms/half'
import { inches } from '../units/length'
import { round, stationAt, webMiddle } from './kit'
import { fieldsOf, modificationOf, type ShoeContext, type FiguresOf } from './modification'

const PLACES = ['heels', 'outer heel', 'heels and toe quarters'] as const

const fields = fieldsOf([
  {
    key: 'diameter',
    label: 'Hole',
    kind: 'length',
    where: 'Drilled for the stud; steel must stay on either side of it.',
    range: ({ section }) => [5, Math.max(6, section.width - 6)],
    fallback: () => inches(3 / 8),
  },
  {
    key: 'height',
    label: 'Stands out of the ground face',
    kind: 'length',
    where: 'Low studs for the road, higher ones for soft ground.',
    range: () => [0.5, 20],
    fallback: () => 3,
  },
  {
    key: 'share',
    label: 'Along the branch',
    kind: 'number',
    where: '0 at the middle of the toe, 1 at the heel end.',
    range: () => [0.6, 0.94],
    fallback: () => 0.86,
  },
  {
    key: 'place',
    label: 'Placed in',
    options: PLACES,
    where: 'One stud alone turns the foot: two or none, unless the vet asks.',
    fallback: () => 'heels',
  },
])
type Figures = FiguresOf<typeof fields>

/** Middles of the studs, each with its name. */
function places(context: ShoeContext, values: Figures): { label: string; at: readonly [number, number] }[] {
  const { share } = values
  const on = (branch: Half, where: number) => webMiddle(context, stationAt(context, branch, where))
  const outer = { label: 'Outer heel stud', at: on('lateral', share) }
  const inner = { label: 'Inner heel stud', at: on('medial', share) }
  if (values.place === 'outer heel') return [outer]
  if (values.place === 'heels') return [outer, inner]
  return [
    outer,
    inner,
    { label: 'Outer toe stud', at: on('lateral', 0.24) },
    { label: 'Inner toe stud', at: on('medial', 0.24) },
  ]
}

/** Studs driven or screwed into the branches. */
export const studs = modificationOf({
  kind: 'studs',
  ofMetal: true,
  group: 'wear',
  label: 'Studs',
  purpose: 'Hold on ice, wet grass and smooth roads; also against wear.',
  brings: ['grip'],
  fields,
  parts: (context, values) =>
    places(context, values).map(({ label, at }) => ({
      label,
      layer: 'fitting' as const,
      face: 'ground' as const,
      edge: round(at, values.diameter),
      between: [-values.height, 0] as const,
      volume: (Math.PI / 4) * values.diameter ** 2 * values.height,
    })),
  handles: (context, values) => {
    const at = webMiddle(context, stationAt(context, 'medial', values.share))
    return [{ field: 'share', point: at, along: [0, -1], per: 1 / (context.foot.length * 1.15) }]
  },
  forging: () => [
    { stage: 'pieces', text: 'Drill from the foot side with steel enough all round; drive or tap.' },
  ],
  drilled: (context, values) => [
    { what: 'For the studs', drill: values.diameter, count: places(context, values).length },
  ],
  cautions: (_context, values) => [
    {
      code: 'studs-twist',
      severity: 'caution',
      title: 'Studs stop the foot at once',
      text: 'What stops a slide loads the joints; in company they wound.',
      action: 'As low as will hold; screwed ones out when the work is done. The same on both of a pair.',
    },
    ...(values.place === 'outer heel'
      ? [
          {
            code: 'stud-single',
            severity: 'caution' as const,
            title: 'One stud turns the foot',
            text: 'A stud on one side only lifts and twists it at every stride.',
            action: 'Two, unless the vet asks for one.',
          },
        ]
      : []),
  ],
})
