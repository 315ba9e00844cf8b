import { blended } from '../geometry/blended'
import { placeAt } from '../geometry/track'
import { turnRight } from '../geometry/vector'
import { webAt } from '../shoe/rims'
import { stationAt } from './kit'
import { fieldsOf, modificationOf } from './modification'
import { HALVES } from '../terms/half'

const fields = fieldsOf([
  {
    key: 'outerWeb',
    label: 'Web of the outer branch',
    kind: 'length',
    where: 'From the quarter back.',
    range: ({ section, foot }) => [
      section.width,
      Math.max(section.width, Math.min(section.width * 1.8, foot.heelWidth * 0.42)),
    ],
    fallback: ({ section }) => section.width * 1.3,
  },
  {
    key: 'innerWeb',
    label: 'Web of the inner branch',
    kind: 'length',
    where: 'From the quarter back.',
    range: ({ section }) => [Math.min(section.width, Math.max(9, section.width * 0.5)), section.width],
    fallback: ({ section }) => Math.max(9, section.width * 0.8),
  },
])

/** Shares of a branch between which its web comes to its new width. */
const FROM = 0.2
const FULL = 0.5

/** The outer branch spread, the inner one narrowed: for a foot loaded on its outside. */
export const wideOuterBranch = modificationOf({
  kind: 'wide-outer-branch',
  ofBar: true,
  group: 'branches',
  label: 'Wide outer branch',
  purpose: 'More ground under the outer side, less under the inner: for a foot loaded on its outside.',
  brings: ['wide fit'],
  fields,
  lay: (lay, { section }, values) => {
    const grown = (full: number) =>
      blended([
        [FROM, 1],
        [FULL, full / section.width],
      ])
    const web = { lateral: grown(values.outerWeb), medial: grown(values.innerWeb) }
    return { ...lay, web: (place) => lay.web(place) * web[place.branch](place.share) }
  },
  handles: (context) =>
    HALVES.map((branch) => {
      const station = stationAt(context, branch, 0.7)
      const { point, tangent } = placeAt(context.rims.outer, station)
      const out = turnRight(tangent)
      const web = webAt(context.rims, station)
      return {
        field: branch === 'lateral' ? 'outerWeb' : 'innerWeb',
        point: [point[0] - out[0] * web, point[1] - out[1] * web] as const,
        along: [-out[0], -out[1]] as const,
      }
    }),
  forging: () => [
    { stage: 'upset', text: 'Spread the outer branch and draw the inner one on the straight bar.' },
  ],
  tell: (_context, values) => [
    `The outer web is ${Math.round((values.outerWeb / values.innerWeb) * 100 - 100)} % wider than the inner.`,
  ],
  cautions: () => [
    {
      code: 'wide-branch-ground',
      severity: 'note',
      title: 'Works only where the ground gives',
      text: 'On hard ground the wide branch carries no more than the narrow one.',
      action: 'Look at the wear at the next visit.',
    },
  ],
})
