import { trackLength } from '../geometry/track'
import { barPlaces } from '../shoe/profile'
import { bearing } from './kit'
import { fieldsOf, modificationOf, type ShoePart, type ShoeContext, type FiguresOf } from './modification'
import { length, told } from '../notices/told'
import { HALVES } from '../terms/half'

/** How a wedge is made. */
const MADE = ['forged from the bar', 'welded on', 'riveted on'] as const
const FORGED = MADE[0]

const fields = fieldsOf([
  {
    key: 'rise',
    label: 'Rise at the heels',
    kind: 'length',
    where: 'How much thicker the shoe is at its hindmost bearing than at the toe.',
    range: () => [1, 25],
    fallback: ({ foot }) => foot.length * 0.045,
  },
  {
    key: 'made',
    label: 'How it is made',
    options: MADE,
    where: 'Forged from the same bar, or a piece of its own set on it: then the cut does not grow.',
    fallback: () => FORGED,
  },
])
type Figures = FiguresOf<typeof fields>

/** Forged from the same bar, a wedge higher than this share of its thickness asks for too much of it (common practice, no source). */
const FORGED_MOST = 0.4

/** Degrees a wedge steepens the hoof: atan(rise / bearing length). */
export function wedgeAngle(context: ShoeContext, rise: number): number {
  const { toeY, heelY } = bearing(context)
  return (Math.atan(rise / (toeY - heelY)) * 180) / Math.PI
}

/** Height of the wedge at a height of the foot's frame: nothing at the toe, all of it at the hindmost bearing. */
function heightAt(context: ShoeContext, values: Figures, y: number): number {
  const { toeY, heelY } = bearing(context)
  return Math.max(0, Math.min(1, (toeY - y) / (toeY - heelY))) * values.rise
}

/** What a wedge set on the bar is cut from, one on each branch: it begins where it is thick enough to hold. */
function pieces(context: ShoeContext, values: Figures): ShoePart[] {
  if (values.made === FORGED) return []
  const places = barPlaces(context.rims)
  return HALVES.map((branch): ShoePart => {
    // The middle of the toe belongs to both, and is no thicker there.
    const along = places.filter((place) => place.branch === branch || place.s === 0)
    const volume = along.reduce((sum, { s, web, point }, i) => {
      const run = i === 0 ? 0 : s - along[i - 1]!.s
      return sum + web * heightAt(context, values, point[1]) * run
    }, 0)
    return {
      label: `Wedge on the ${branch === 'lateral' ? 'outer' : 'inner'} branch`,
      layer: 'fitting',
      face: 'foot',
      // It is seen in the sections of the branch: the bar stands higher by it.
      edge: [],
      volume,
      stock: {
        width: Math.max(...along.map(({ web }) => web)),
        thickness: values.rise,
        length: Math.max(...along.map(({ fromToe }) => fromToe)),
      },
    }
  })
}

/** Branches that grow thicker to the heel. */
export const wedge = modificationOf({
  kind: 'wedge',
  ofMetal: true,
  group: 'heels',
  label: 'Wedge',
  purpose: 'Raises the heels: thickness grows evenly from toe to heel.',
  brings: ['raised heels'],
  fields,
  rise: ({ point }, context, values) => (values.made === FORGED ? heightAt(context, values, point[1]) : 0),
  setOn: ({ point }, context, values) => (values.made === FORGED ? 0 : heightAt(context, values, point[1])),
  parts: pieces,
  handles: (context, values) => [
    {
      field: 'rise',
      point: [bearing(context).heelY, context.section.thickness + values.rise],
      along: [0, 1],
      view: 'side',
    },
  ],
  forging: (_context, values) =>
    values.made === FORGED
      ? [{ stage: 'upset', text: 'Draw the toe or upset the heels of the straight bar to the wedge first.' }]
      : [
          {
            stage: 'pieces',
            text: `Forge two wedges from bar as wide as the web, fit them to the branches and ${values.made === 'welded on' ? 'weld them on' : 'rivet them on, heads flush'}; level the seat.`,
          },
        ],
  tell: (context, values) => [`Steepens the hoof by ${wedgeAngle(context, values.rise).toFixed(1)}°.`],
  cautions: (context, values) => {
    const angle = wedgeAngle(context, values.rise)
    const { thickness } = context.section
    const rise = values.rise
    const more = (trackLength(context.rims.centroid) * rise) / 2 / thickness
    return [
      ...(values.made === FORGED && rise > thickness * FORGED_MOST
        ? [
            {
              code: 'wedge-thick',
              severity: 'caution' as const,
              title: 'High wedge for this bar',
              text: told`Forged from the same bar it lengthens the cut by about ${length(more)}, all of it to be upset toward the heels.`,
              action: told`Begin with bar about ${length(thickness + rise / 2)} thick and draw the toe, or have the wedge welded or riveted on.`,
            },
          ]
        : []),
      {
        code: 'wedge',
        severity: angle > 4 ? 'caution' : 'note',
        title: `Heels raised by ${angle.toFixed(1)}°`,
        text: 'Raised heels crush in time. In a suspensory strain a steeper hoof may let the fetlock sink further: schools differ.',
        action: 'Agree it with the vet; look at the heels at each visit and lower it as soon as it may be.',
      },
    ]
  },
})
