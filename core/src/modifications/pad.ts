import { planeArea } from '../geometry/plane-area'
import { shoeBody } from '../shoe/rims'
import { fieldsOf, modificationOf } from './modification'
import { length, told } from '../notices/told'

const SHAPES = ['full', 'rim'] as const

const fields = fieldsOf([
  {
    key: 'thickness',
    label: 'Thickness',
    kind: 'length',
    where: 'The nails grow longer by it.',
    range: () => [1.5, 15],
    fallback: () => 4,
  },
  {
    key: 'shape',
    label: 'Covers',
    options: SHAPES,
    where: 'The whole sole, or only what the shoe covers.',
    fallback: () => 'full',
  },
])

/** Leather and pad plastics weigh little more than water, kg/m3 (from memory). */
const DENSITY = 1150

/** A pad between shoe and foot, packed. */
export const pad = modificationOf({
  kind: 'pad',
  group: 'plates',
  label: 'Pad and packing',
  purpose: 'Leather or plastic between shoe and foot: thin soles, stony ground, bruises.',
  brings: ['closed sole'],
  fields,
  excludes: { 'hospital-plate': 'The plate must come off for dressing; a pad is nailed on' },
  padding: (values) => values.thickness,
  parts: ({ rims, section }, values) => {
    const edge = values.shape === 'rim' ? shoeBody(rims) : rims.outer.points
    const xs = edge.map(([x]) => x)
    const ys = edge.map(([, y]) => y)
    const { thickness } = values
    return [
      {
        label: values.shape === 'rim' ? 'Rim pad' : 'Pad',
        layer: 'pad',
        edge,
        between: [section.thickness, section.thickness + thickness],
        volume: planeArea(edge).area * thickness,
        density: DENSITY,
        template: { kind: 'pad' },
        stock: {
          width: Math.max(...xs) - Math.min(...xs),
          thickness,
          length: Math.max(...ys) - Math.min(...ys),
        },
      },
    ]
  },
  handles: ({ foot, section }, values) => [
    {
      field: 'thickness',
      point: [foot.widestFromToe - foot.length * 0.35, section.thickness + values.thickness],
      along: [0, 1],
      view: 'side',
    },
  ],
  forging: () => [
    {
      stage: 'on the foot',
      text: 'Cut the pad to the shoe, pack the sole and sulci full, no lump under the frog, then nail.',
    },
  ],
  tell: (_context, values) => [
    told`Nails longer by ${length(values.thickness)}; clips taller by as much.`,
    ...(values.shape === 'full' ? ['Always packed.'] : []),
  ],
  cautions: (_context, values) =>
    values.shape === 'full'
      ? [
          {
            code: 'pad-packed',
            severity: 'caution',
            title: 'Pack under the pad',
            text: 'Rot grows under a pad that is not packed, and nobody sees it.',
            action: 'Clean, dress and pack at every shoeing; not on a wet or thrushy foot.',
          },
        ]
      : [],
})
