import { HALVES, type Half } from '../terms/half'
import { placeAt } from '../geometry/track'
import { along, turnRight } from '../geometry/vector'
import { dressed, roundBar, runOut, stationAt } from './kit'
import { fieldsOf, modificationOf, type ShoePart, type ShoeContext, type FiguresOf } from './modification'

const STYLES = ['full', 'quarter', 'none'] as const

/** Steel that must stay beside a crease, mm. */
const LEAST_LAND = 1.5
const fields = fieldsOf([
  {
    key: 'style',
    label: 'Runs',
    options: STYLES,
    where: 'Full: from heel to heel. Quarter: only where the nails are. None: holes stamped in plain steel.',
    fallback: () => 'quarter',
  },
  {
    key: 'depth',
    label: 'Depth',
    kind: 'length',
    where: 'From the ground face up.',
    range: ({ section }) => [1, section.thickness * 0.75],
    fallback: ({ section }) => section.thickness * 0.5,
  },
  {
    key: 'mouth',
    label: 'Width at the ground',
    kind: 'length',
    where: 'As wide as the heads it takes.',
    range: ({ section }) => [3, section.width * 0.5],
    fallback: ({ section }) => Math.min(7, section.width * 0.34),
  },
  {
    key: 'fromRim',
    label: 'Its middle from the outer rim',
    kind: 'length',
    where: 'Over the white line, where the holes are.',
    range: ({ section }, { mouth }) => {
      const least = Number(mouth) / 2 + LEAST_LAND
      return [least, section.width - least]
    },
    fallback: ({ section, plainHoles }) => {
      const holes = plainHoles()
      return holes.length === 0
        ? section.width / 2
        : holes.reduce((sum, { inset }) => sum + inset, 0) / holes.length
    },
  },
])
type Figures = FiguresOf<typeof fields>

/** Where the crease begins and ends on a branch, as shares of it. */
const RUN = { full: [0, 0.9], quarter: [0.17, 0.66], none: [2, 2] } as const

const runOf = (values: Figures): readonly [number, number] => RUN[values.style]

const pieces = (context: ShoeContext, values: Figures): ShoePart[] => {
  const [from, to] = runOf(values)
  const half = values.mouth / 2
  const inset = (): [number, number] => [values.fromRim - half, values.fromRim + half]
  const at = (branch: Half, share: number) => stationAt(context, branch, share)
  const piece = (label: string, a: number, b: number) => dressed(context, label, 'ground', a, b, inset)
  if (from > 1) return []
  return from === 0
    ? [piece('Crease', at('lateral', to), at('medial', to))]
    : [
        piece('Outer crease', at('lateral', from), at('lateral', to)),
        piece('Inner crease', at('medial', from), at('medial', to)),
      ]
}

/** A groove in the ground surface that holds the nail heads and grips. */
export const crease = modificationOf({
  kind: 'crease',
  ofBar: true,
  group: 'surfaces',
  label: 'Crease',
  purpose: 'A groove in the ground surface: nail heads sink in it, dirt in it grips.',
  fields,
  refuse: roundBar,
  forge: (form, { share }, _context, values) => {
    const deep = runOut(share, runOf(values))
    if (deep <= 0) return form
    const depth = values.depth * deep
    return {
      ...form,
      crease: { from: values.fromRim, width: values.mouth * (0.4 + 0.6 * deep), depth },
    }
  },
  parts: pieces,
  handles: (context, values) => {
    const { point, tangent } = placeAt(context.rims.outer, stationAt(context, 'medial', 0.5))
    const inward = turnRight([-tangent[0], -tangent[1]])
    return [{ field: 'fromRim', point: along(point, inward, values.fromRim), along: inward }]
  },
  marks: (context, values) => {
    const [from, to] = runOf(values)
    if (from > 1) return []
    return HALVES.flatMap((branch) =>
      (from === 0 ? [to] : [from, to]).map((share) => ({
        label: 'Crease ends',
        station: stationAt(context, branch, share),
      })),
    )
  },
  forging: (_context, values) =>
    values.style === 'none'
      ? []
      : [
          {
            stage: 'crease',
            text: 'Crease before the holes are stamped; it spreads the web by what it pushes aside: keep the edges fair.',
          },
        ],
})
