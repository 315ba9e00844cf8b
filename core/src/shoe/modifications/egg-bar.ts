import { cubic } from '../../geometry/cubic'
import { path } from '../../geometry/path'
import { parallel } from '../../geometry/parallel'
import { placeAt, trackCurve, trackLength, type Track } from '../../geometry/track'
import { along, type Vec } from '../../geometry/vector'
import { sectionArea } from '../section'
import type { Modification, ShoeContext, Values } from './modification'

const STEPS = 24

/** Middle of the bar behind the heels, y: its back edge reaches the bulb line and as far behind it as asked. */
const middleY = ({ foot, section }: ShoeContext, values: Values): number =>
  foot.widestFromToe - foot.length - foot.bulbLine - values['behindBulbs']! + section.width / 2

/** The middle of the closing bar, from the lateral heel round the back to the medial one. */
function closing(context: ShoeContext, values: Values): Track {
  const { centreline } = context.rims
  const from = placeAt(centreline, 0)
  const to = placeAt(centreline, trackLength(centreline))
  const y = middleY(context, values)
  const half = (point: Vec, backward: Vec) => {
    const reach = Math.max(3, (point[1] - y) * 0.6)
    // Long handles in the middle: a flat back with round corners, as the bulbs are.
    const round = Math.abs(point[0]) * 0.72
    return { leave: along(point, backward, reach), round }
  }
  // Backward along the branch: against the walk at the lateral end, with it at the medial one.
  const lateral = half(from.point, [-from.tangent[0], -from.tangent[1]])
  const medial = half(to.point, to.tangent)
  const middle: Vec = [0, y]
  return trackCurve(
    path([
      cubic(from.point, lateral.leave, [lateral.round, y], middle),
      cubic(middle, [-medial.round, y], medial.leave, to.point),
    ]),
    STEPS,
  )
}

/** The outline closed behind the heels in an oval. */
export const eggBar: Modification = {
  kind: 'egg-bar',
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
  refuse: (context, values) => {
    const { centreline } = context.rims
    const ends = [centreline.points[0]!, centreline.points[centreline.points.length - 1]!]
    return ends.every(([, y]) => y - middleY(context, values) > context.section.width * 0.15)
      ? undefined
      : 'the branches already reach the bulb line; choose a fit that ends at the buttress'
  },
  parts: (context, values) => {
    const { section } = context
    const run = closing(context, values)
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
