import { region } from '../geometry/region'
import { shoeBody } from '../shoe/rims'
import type { Modification } from './modification'
import { length, told } from '../notices/told'

/** Leather and pad plastics weigh little more than water, kg/m3 (from memory). */
const DENSITY = 1150

const SHAPES = ['full', 'rim'] as const

/** A pad between shoe and foot, packed. */
export const pad: Modification = {
  kind: 'pad',
  group: 'plates',
  label: 'Pad and packing',
  purpose: 'Leather or plastic between shoe and foot: thin soles, stony ground, bruises.',
  brings: ['closed sole'],
  fields: [
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
      kind: 'number',
      options: SHAPES,
      where: 'The whole sole, or only what the shoe covers.',
      range: () => [0, 1],
      fallback: () => 0,
    },
  ],
  excludes: { 'hospital-plate': 'The plate must come off for dressing; a pad is nailed on' },
  padding: (values) => values['thickness']!,
  parts: ({ rims, section }, values) => {
    const edge = values['shape'] === 1 ? shoeBody(rims) : rims.outer.points
    const xs = edge.map(([x]) => x)
    const ys = edge.map(([, y]) => y)
    const { thickness = 0 } = values
    return [
      {
        label: values['shape'] === 1 ? 'Rim pad' : 'Pad',
        layer: 'pad',
        edge,
        between: [section.thickness, section.thickness + thickness],
        volume: region(edge).area * thickness,
        density: DENSITY,
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
      point: [foot.widestFromToe - foot.length * 0.35, section.thickness + values['thickness']!],
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
    told`Nails longer by ${length(values['thickness']!)}; clips taller by as much.`,
    ...(values['shape'] === 0 ? ['Always packed.'] : []),
  ],
  cautions: (_context, values) =>
    values['shape'] === 0
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
}
