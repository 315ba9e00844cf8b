import { parallel } from '../../geometry/parallel'
import { trackLength } from '../../geometry/track'
import { sectionArea } from '../section'
import { behindHeels, closingRun } from './closing-run'
import type { Modification, ShoeContext, Values } from './modification'

/** Middle of the bar behind the heels, y: its back edge reaches the bulb line and as far behind it as asked. */
const middleY = ({ foot, section }: ShoeContext, values: Values): number =>
  foot.widestFromToe - foot.length - foot.bulbLine - values['behindBulbs']! + section.width / 2

/** The outline closed behind the heels in an oval. */
export const eggBar: Modification = {
  kind: 'egg-bar',
  group: 'heels',
  label: 'Egg bar',
  purpose: 'Closed behind the heels in an oval: bearing back to the plumb line of the bulbs.',
  fields: [
    {
      key: 'behindBulbs',
      label: 'Behind the bulb line',
      kind: 'length',
      where: 'How far its back edge lies behind the bulb line; minus ends before it.',
      range: ({ foot }) => [-foot.bulbLine * 0.4, foot.length * 0.12],
      fallback: () => 0,
    },
  ],
  excludes: {
    'heart-bar': 'A shoe is closed by one bar; a heart bar with an egg bar is a design of its own',
  },
  refuse: (context, values) =>
    behindHeels(context, middleY(context, values)) > context.section.width * 0.15
      ? undefined
      : 'the branches already reach the bulb line; choose a fit that ends at the buttress',
  parts: (context, values) => {
    const { section } = context
    const run = closingRun(context, middleY(context, values))
    const outer = parallel(run, -section.width / 2)
    const inner = parallel(run, section.width / 2)
    const length = trackLength(run)
    return [
      {
        label: 'Run of the egg bar',
        layer: 'bar',
        edge: [...outer.points, ...inner.points.slice().reverse()],
        volume: length * sectionArea(section),
        ofTheBar: length,
      },
    ]
  },
  handles: (context, values) => [
    {
      field: 'behindBulbs',
      point: [0, middleY(context, values) - context.section.width / 2],
      along: [0, -1],
    },
  ],
  forging: () => [
    { stage: 'weld', text: 'Turn both ends round behind the heels, scarf them and weld in the middle.' },
  ],
  tell: () => ['Turned from one bar: the run behind the heels is in the cut, half at either end.'],
  cautions: () => [
    {
      code: 'egg-bar-stepped-off',
      severity: 'caution',
      title: 'Egg bar behind the heels',
      text: 'The longest heel there is: stepped off in mud, in herds and by a hind foot that reaches.',
      action: 'Dry ground and no company, or another shoe. Never hot-seat a bar shoe that does not fit.',
    },
  ],
}
