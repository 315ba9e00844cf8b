import { bevelled, dressed, roundBar, stationAt } from './kit'
import { placeAt } from '../geometry/track'
import { turnRight } from '../geometry/vector'
import { fieldsOf, modificationOf } from './modification'

const fields = fieldsOf([
  {
    key: 'size',
    label: 'Bevel',
    kind: 'length',
    where: 'Across the edge and down it.',
    range: ({ section }) => [0.5, section.thickness * 0.7],
    fallback: ({ fit }) => Math.max(1.5, fit.spread),
  },
])

/** Share of a branch from which it is boxed: about the bend of the quarter. */
const FROM = 0.55

/** The outer foot-surface edge bevelled where the shoe stands wider than the foot. */
export const boxing = modificationOf({
  kind: 'boxing',
  group: 'surfaces',
  label: 'Boxing',
  purpose:
    'The foot-surface edge bevelled where the shoe stands wider than the foot: nothing to tread on or catch.',
  fields,
  refuse: roundBar,
  rasp: (form, { share }, _context, { size }) =>
    share > FROM ? bevelled(form, 'outerFoot', size, size) : form,
  parts: (context, { size }) => [
    dressed(
      context,
      'Boxing, outer',
      'foot',
      stationAt(context, 'lateral', FROM),
      stationAt(context, 'lateral', 0.97),
      () => [0, size],
    ),
    dressed(
      context,
      'Boxing, inner',
      'foot',
      stationAt(context, 'medial', FROM),
      stationAt(context, 'medial', 0.97),
      () => [0, size],
    ),
  ],
  handles: (context, { size }) => {
    const { point, tangent } = placeAt(context.rims.outer, stationAt(context, 'lateral', 0.8))
    const out = turnRight(tangent)
    return [
      {
        field: 'size',
        point: [point[0] - out[0] * size, point[1] - out[1] * size],
        along: [-out[0], -out[1]],
      },
    ]
  },
  forging: () => [{ stage: 'edges', text: 'Box both branches from the bend of the quarter back.' }],
})
