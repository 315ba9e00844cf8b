import { placeAt } from '../geometry/track'
import { turnRight } from '../geometry/vector'
import { bevelled, dressed, roundBar, stationAt } from './kit'
import type { Modification } from './modification'

const BRANCHES = ['inner branch', 'both branches'] as const

/** Share of the branch from which the edge is safed. */
const FROM = 0.25

/** The ground edge softened, above all of the inner branch and heel, so that a step on the other leg does not cut. */
export const safeing: Modification = {
  kind: 'safeing',
  group: 'surfaces',
  label: 'Safeing',
  purpose: 'The ground edge of the inner branch and heel softened: a step on the other leg does not cut.',
  fields: [
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
      kind: 'number',
      options: BRANCHES,
      where: 'The inner branch, or both.',
      range: () => [0, 1],
      fallback: () => 0,
    },
  ],
  refuse: roundBar,
  rasp: (form, { branch, share }, _context, { size = 0, branches }) =>
    share > FROM && (branch === 'medial' || branches === 1)
      ? bevelled(form, 'outerGround', size, size)
      : form,
  parts: (context, { size = 0, branches }) =>
    (branches === 1 ? (['lateral', 'medial'] as const) : (['medial'] as const)).map((branch) =>
      dressed(
        context,
        branch === 'lateral' ? 'Safed outer edge' : 'Safed inner edge',
        'ground',
        stationAt(context, branch, FROM),
        stationAt(context, branch, 0.97),
        () => [0, size],
      ),
    ),
  handles: (context, { size = 0 }) => {
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
}
