import { placeAt } from '../geometry/track'
import { along, turnRight } from '../geometry/vector'
import { bevelled, roundBar } from './kit'
import { fieldsOf, modificationOf } from './modification'
import { length, told } from '../notices/told'

const fields = fieldsOf([
  {
    key: 'across',
    label: 'Across the web',
    kind: 'length',
    where: 'From the outer rim inward, on the ground surface.',
    range: ({ section }) => [1, section.width * 0.6],
    fallback: ({ section }) => section.width * 0.35,
  },
  {
    key: 'up',
    label: 'Up the edge',
    kind: 'length',
    where: 'From the ground up the outer edge.',
    range: ({ section }) => [1, section.thickness * 0.8],
    fallback: ({ section }) => section.thickness * 0.5,
  },
])

/** A flat narrower than this carries badly, mm (common practice, no source). */
const LEAST_FLAT = 8

/** The ground edge bevelled from heel to heel, so that the foot rolls off any way it likes. */
export const perimeterBevel = modificationOf({
  kind: 'perimeter-bevel',
  group: 'toe',
  label: 'Perimeter bevel',
  purpose: 'The ground edge bevelled from heel to heel: breaks over wherever the foot wants to.',
  fields,
  excludes: { 'rolled-toe': 'The bevel rounds the toe already' },
  refuse: roundBar,
  rasp: (form, _place, _context, values) => bevelled(form, 'outerGround', values.across, values.up),
  handles: ({ rims }, values) => {
    const { point, tangent } = placeAt(rims.outer, rims.toe)
    const inward = turnRight([-tangent[0], -tangent[1]])
    return [{ field: 'across', point: along(point, inward, values.across), along: inward }]
  },
  forging: () => [{ stage: 'edges', text: 'Bevel the ground edge from heel to heel, the same all round.' }],
  tell: (_context, { across, up }) => [
    `The edge rises at ${Math.round((Math.atan2(up, across) * 180) / Math.PI)}° all round.`,
  ],
  cautions: ({ rims }, values) =>
    Math.min(...rims.web) - values.across < LEAST_FLAT
      ? [
          {
            code: 'bevel-narrow',
            severity: 'caution',
            title: 'Little ground left to stand on',
            text: told`The flat that is left between bevel and inner rim is under ${length(LEAST_FLAT)}.`,
            action: 'Take a wider bar or a smaller bevel.',
          },
        ]
      : [],
})
