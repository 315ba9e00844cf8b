import { placeAt } from '../geometry/track'
import { turnRight } from '../geometry/vector'
import { bevelled, dressed, roundBar, stationAt } from './kit'
import { fieldsOf, modificationOf } from './modification'
import { HALVES } from '../terms/half'

const BRANCHES = ['inner branch', 'both branches'] as const

const fields = fieldsOf([
  {
    key: 'size',
    label: 'Edge taken off',
    kind: 'length',
    where: 'Across the ground face and up the edge.',
    range: ({ section }) => [0.5, section.thickness * 0.6],
    fallback: ({ section }) => section.thickness * 0.3,
  },
  {
    key: 'branches',
    label: 'On the',
    options: BRANCHES,
    where: 'The inner branch, or both.',
    fallback: () => 'inner branch',
  },
])

/** Share of the branch from which the edge is safed. */
const FROM = 0.25

/** The ground edge softened, above all of the inner branch and heel, so that a step on the other leg does not cut. */
export const safeing = modificationOf({
  kind: 'safeing',
  group: 'surfaces',
  label: 'Safeing',
  purpose: 'The ground edge of the inner branch and heel softened: a step on the other leg does not cut.',
  fields,
  refuse: roundBar,
  rasp: (form, { branch, share }, _context, { size, branches }) =>
    share > FROM && (branch === 'medial' || branches === 'both branches')
      ? bevelled(form, 'outerGround', size, size)
      : form,
  parts: (context, { size, branches }) =>
    (branches === 'both branches' ? HALVES : (['medial'] as const)).map((branch) =>
      dressed(
        context,
        branch === 'lateral' ? 'Safed outer edge' : 'Safed inner edge',
        'ground',
        stationAt(context, branch, FROM),
        stationAt(context, branch, 0.97),
        () => [0, size],
      ),
    ),
  handles: (context, { size }) => {
    const { point, tangent } = placeAt(context.rims.outer, stationAt(context, 'medial', 0.65))
    const out = turnRight(tangent)
    return [
      {
        field: 'size',
        point: [point[0] - out[0] * size, point[1] - out[1] * size],
        along: [-out[0], -out[1]],
      },
    ]
  },
  forging: () => [{ stage: 'edges', text: 'Safe the ground edge of the inner branch and round its heel.' }],
})
