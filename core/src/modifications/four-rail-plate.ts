import { planeArea } from '../geometry/plane-area'
import { inches } from '../units/length'
import { webAt } from '../shoe/rims'
import { bentAhead, dressedToe, lineHandle, mostAhead } from './bend-line'
import { bearing, bevelled, stationAt, strip } from './kit'
import { fieldsOf, modificationOf, type ShoePart, type ShoeContext, type FiguresOf } from './modification'
import { length, told } from '../notices/told'
import { HALVES } from '../terms/half'

const fields = fieldsOf([
  {
    key: 'behindToe',
    label: 'Toe drawn out',
    kind: 'length',
    ofFoot: true,
    where: told`From the toe of the foot back to the breakover: ${length(inches(2))} to ${length(inches(2.5))}, beneath the tip of P3.`,
    range: ({ foot }) => [10, foot.widestFromToe],
    fallback: ({ foot, schoolY }) => {
      const school = schoolY()
      return (
        foot.tipFromToe ??
        (school === undefined ? inches(2) : Math.max(inches(1.5), foot.widestFromToe - school))
      )
    },
  },
  {
    key: 'rail',
    label: 'Height of the rails',
    kind: 'length',
    where: told`At the back; about ${length(inches(3 / 8))}. Nothing: the plate lies flat.`,
    range: () => [0, 20],
    fallback: () => inches(3 / 8),
  },
  {
    key: 'spread',
    label: 'Rails stand out by',
    kind: 'length',
    where: 'The outer rail of each branch, outside its rim.',
    range: () => [0, 8],
    fallback: () => 2,
  },
])
type Figures = FiguresOf<typeof fields>

/** Less bar than this carries no rails, mm: 1 x 3/8 in and a little less. */
const LEAST_BAR = { width: 24, thickness: 9 }

/** A rail across the web, mm, and where the rails run on a branch, as shares of it. */
const RAIL = { width: inches(1 / 4), from: 0.5, to: 0.985 }

/** Rails lower than this are not made, mm: the plate lies flat. */
const LEAST_RAIL = 0.5

/** Two rails on each branch, the outer of them set out over the rim. */
function rails(context: ShoeContext, values: Figures): ShoePart[] {
  const { spread, rail } = values
  if (rail < LEAST_RAIL) return []
  return HALVES.flatMap((branch) =>
    (['outer', 'inner'] as const).map((which): ShoePart => {
      const from = stationAt(context, branch, RAIL.from)
      const to = stationAt(context, branch, RAIL.to)
      const edge = strip(context, from, to, (station) => {
        const web = webAt(context.rims, station)
        const near = which === 'outer' ? -spread : web - RAIL.width
        return [near, near + RAIL.width]
      })
      const ys = edge.map(([, y]) => y)
      const taper = [Math.max(...ys), Math.min(...ys)] as const
      const { area, centroid } = planeArea(edge)
      return {
        label: `${branch === 'lateral' ? 'Outer' : 'Inner'} branch, ${which} rail`,
        layer: 'fitting',
        face: 'ground',
        edge,
        between: [-rail, 0],
        taper,
        // From nothing at the front straight to its full height at the back: as deep on average as at its centroid.
        volume: (area * rail * (taper[0] - centroid[1])) / (taper[0] - taper[1]),
        stock: { width: RAIL.width, thickness: rail, length: Math.abs(to - from) },
      }
    }),
  )
}

/** Aluminium plate with four rails for founder: breakover far back, the back of the foot raised and supported. */
export const fourRailPlate = modificationOf({
  kind: 'four-rail-plate',
  ofBar: true,
  group: 'plates',
  label: 'Four-rail plate',
  purpose:
    'Aluminium plate for founder: breakover beneath the tip of P3, rails at the back, cushion filling.',
  brings: ['raised heels'],
  fields,
  excludes: {
    'rolled-toe': 'The plate’s toe is drawn out already',
    'rocker-toe': 'The plate’s toe is drawn out already',
    'squared-toe': 'The plate’s toe is drawn out already',
    'perimeter-bevel': 'The rails stand where the bevel would be',
    wedge: 'The rails raise the back already',
    'hard-facing': 'Aluminium cannot be hard-faced',
    'slide-shoe': 'A plate for founder does not slide',
    'hinged-expander': 'The expander is made of steel',
    trailer: 'The rails run to the heel ends; they cannot be turned out',
    'wide-toe': 'The rails hold the heels up; narrow heels let them sink',
    'hospital-plate': 'Rails and plate claim the same place',
  },
  refuse: ({ section: { material, shape, width, thickness } }) =>
    material === 'aluminium' &&
    shape === 'flat' &&
    width >= LEAST_BAR.width &&
    thickness >= LEAST_BAR.thickness
      ? undefined
      : 'it is made of flat aluminium, 1 x 3/8 or 1 x 1/2; choose one of them among the common bars',
  rasp: (form, place, context, values) => {
    const { foot, section } = context
    // The drawn toe is thinned toward its edge; the branches behind it are concaved on the foot side.
    const line = foot.widestFromToe - values.behindToe
    const bend = bentAhead(place, line, (section.thickness * 0.7) / mostAhead(context, line), 'ground')
    if (bend) return { ...form, bend }
    return place.share > RAIL.from
      ? bevelled(form, 'innerFoot', section.width * 0.3, section.thickness * 0.25)
      : form
  },
  // Only behind the widest part.
  nails: (plan) => ({ ...plan, school: 'laminitic' }),
  parts: (context, values) => [
    dressedToe(context, 'Drawn-out toe', values.behindToe),
    ...rails(context, values),
  ],
  handles: (context, values) => [
    ...lineHandle(context, values),
    { field: 'rail', point: [bearing(context).heelY, -values.rail], along: [0, -1], view: 'side' },
  ],
  forging: () => [
    {
      stage: 'toe',
      text: 'Draw the toe out; aluminium gives no colour: a wooden handle just scorches on it.',
    },
    {
      stage: 'pieces',
      text: told`Fit the four rails, spread wider than the branch; drill the holes ${length(inches(1 / 8), 'drill')} or ${length(inches(9 / 64), 'drill')}.`,
    },
    { stage: 'on the foot', text: 'Fill with cushion from the point of the frog back.' },
  ],
  tell: (context, _values, { raised: lift }) => {
    const { palmarAngle, soleDepth } = context.foot
    return [
      `On a hard floor the shoe raises the back by ${lift.toFixed(1)}°; aluminium is ground on its own wheel.`,
      palmarAngle === undefined
        ? 'Palmar angle not known: take it from the radiograph. The aim is P3 parallel to the shoe.'
        : `P3 stands ${palmarAngle.toFixed(1)}° to the shoe (aim: parallel, by the trim) and ${(palmarAngle + lift).toFixed(1)}° to the ground.`,
      ...(soleDepth !== undefined && soleDepth < 20
        ? [told`Sole under the tip ${length(soleDepth)}; the aim is about ${length(inches(1))}.`]
        : []),
    ]
  },
  cautions: ({ foot }, values) => [
    {
      code: 'four-rail-vet',
      severity: 'caution',
      title: 'Plate for founder',
      text: 'It is made to the radiograph and judged by the next one. Bulky: stepped on in company.',
      action: 'To the vet’s plan. Stall or small dry yard. Any pain: take it off.',
    },
    ...(foot.tipFromToe === undefined
      ? [
          {
            code: 'four-rail-no-tip',
            severity: 'stop' as const,
            title: 'The tip of P3 is not known',
            text: 'The breakover would be set by guess.',
            action: 'Take the tip from the radiograph and type it in the Map.',
          },
        ]
      : values.behindToe < foot.tipFromToe - 1
        ? [
            {
              code: 'four-rail-ahead',
              severity: 'caution' as const,
              title: 'Breakover ahead of the tip of P3',
              text: told`It lies ${length(foot.tipFromToe - values.behindToe)} ahead of it.`,
              action: 'Straight beneath the tip or a touch behind, never ahead of it.',
            },
          ]
        : []),
    ...(values.rail > 14
      ? [
          {
            code: 'four-rail-high',
            severity: 'caution' as const,
            title: 'High rails',
            text: 'The back is raised far at once.',
            action: told`About ${length(inches(3 / 8))} is usual.`,
          },
        ]
      : []),
  ],
})
