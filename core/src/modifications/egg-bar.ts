import { trackLength, type Track } from '../geometry/track'
import { sectionArea } from '../shoe/section-form'
import { behindHeels, closingRun, runVolume } from './closing-run'
import { fieldsOf, modificationOf, type ShoeContext, type FiguresOf } from './modification'
import { besideRun, weldOf } from './run-outline'

const fields = fieldsOf([
  {
    key: 'behindBulbs',
    label: 'Behind the bulb line',
    kind: 'length',
    ofFoot: true,
    where: 'How far its back edge lies behind the bulb line; minus ends before it.',
    range: (context) => [
      Math.max(-context.foot.bulbLine * 0.4, leastBehind(context)),
      context.foot.length * 0.12,
    ],
    fallback: () => 0,
  },
])
type Figures = FiguresOf<typeof fields>

/** Middle of the bar behind the heels, y: its back edge reaches the bulb line and as far behind it as asked. */
const middleY = ({ foot, section }: ShoeContext, values: Figures): number =>
  foot.widestFromToe - foot.length - foot.bulbLine - values.behindBulbs + section.width / 2

/** A bar that ends before the bulb line leaves its run so much of its own width behind the branches, to turn smoothly in. */
const ROOM_TO_TURN = 0.7

/** The nearest to the toe that leaves it that room, mm; the bulb line itself where even that is little. */
const leastBehind = (context: ShoeContext): number =>
  Math.min(
    0,
    context.section.width * ROOM_TO_TURN - behindHeels(context, middleY(context, { behindBulbs: 0 })),
  )

/** Where branches reach the bulb line, an egg bar would close them this far behind their ends, mm. */
const BEHIND_ENDS = 2

/** The run of an egg bar whose back edge lies on the bulb line: what is cut for heels that are turned across. */
export function usualEggRun(context: ShoeContext): Track {
  const y = middleY(context, { behindBulbs: 0 })
  return closingRun(context, y - Math.max(0, BEHIND_ENDS - behindHeels(context, y)))
}

/** The outline closed behind the heels in an oval. */
export const eggBar = modificationOf({
  kind: 'egg-bar',
  ofBar: true,
  group: 'heels',
  label: 'Egg bar',
  purpose: 'Closed behind the heels in an oval: bearing back to the plumb line of the bulbs.',
  brings: ['bar', 'long heels'],
  fields,
  excludes: {
    'heart-bar': 'A shoe is closed by one bar; a heart bar with an egg bar is a design of its own',
  },
  refuse: (context, values) =>
    behindHeels(context, middleY(context, values)) > context.section.width * 0.15
      ? undefined
      : 'the branches already reach the bulb line; choose a fit that ends at the buttress',
  hindmost: (context, values) => middleY(context, values) - context.section.width / 2,
  parts: (context, values) => {
    const { section, raisedBehind } = context
    const run = closingRun(context, middleY(context, values))
    const { edge, outline } = besideRun(context.rims, run, section.width)
    const volume = runVolume(run, section, raisedBehind)
    return [
      {
        label: 'Run of the egg bar',
        layer: 'bar',
        edge,
        join: { outline, welds: [weldOf(run, section.width)] },
        between: [0, section.thickness + (raisedBehind?.(middleY(context, values)) ?? 0)],
        swept: {
          as: 'bar',
          line: run.points,
          section,
          heights: run.points.map(([, y]) => section.thickness + (raisedBehind?.(y) ?? 0)),
        },
        volume,
        // A wedge that goes on into the run takes more bar for it.
        ofTheBar: volume / sectionArea(section),
        turned: { length: trackLength(run), run: run.points },
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
    {
      stage: 'weld',
      moves: 'closing',
      text: 'Turn both ends round behind the heels, scarf them and weld in the middle.',
    },
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
})
