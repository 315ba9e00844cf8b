import type { ShoeInput } from '../records/shoe'
import { inches } from '../units/length'

/** A named design to begin from. */
export interface Template {
  key: string
  label: string
  use: string
  /** Advice that calls for it, by code. */
  suits: readonly string[]
  /** The vet leads. */
  vetLeads?: boolean
  shoe: Pick<ShoeInput, 'fit' | 'modifications' | 'nails'> & { section?: ShoeInput['section'] }
}

const steel = (width: number, thickness: number): ShoeInput['section'] => ({
  shape: 'flat',
  width: inches(width),
  thickness: inches(thickness),
  material: 'steel',
})

const three = { lateral: { holes: 4, driven: [1, 2, 3] }, medial: { holes: 4, driven: [1, 2, 3] } }
const four = { lateral: { holes: 4, driven: [1, 3] }, medial: { holes: 4, driven: [1, 3] } }
const behind = {
  lateral: { holes: 4, driven: [1, 2, 3] },
  medial: { holes: 4, driven: [1, 2, 3] },
  school: 'laminitic' as const,
}

/** Starting designs for usual cases (common practice, no source). The bar stays where none is named. */
export const TEMPLATES: readonly Template[] = [
  {
    key: 'plain',
    label: 'Plain shoe',
    use: 'Sound foot, general work: six nails, creased where they go.',
    suits: [],
    shoe: { fit: 'general', modifications: [{ kind: 'crease', style: 'quarter' }], nails: three },
  },
  {
    key: 'thin-walls',
    label: 'Thin walls',
    use: 'Two quarter clips and four nails, nothing behind the heel.',
    suits: ['thin-wall-clips', 'broken-wall-nails', 'lost-shoe'],
    shoe: { fit: 'conservative', modifications: [{ kind: 'quarter-clips' }], nails: four },
  },
  {
    key: 'jumper',
    label: 'Support for a jumper',
    use: 'Length to the bulbs, toe rolled, heels boxed.',
    suits: ['jumping-fit', 'heels-supportive', 'tendon-support'],
    shoe: {
      fit: 'supportive',
      modifications: [{ kind: 'toe-clip' }, { kind: 'rolled-toe' }, { kind: 'boxing' }],
      nails: three,
    },
  },
  {
    key: 'slider',
    label: 'Slide shoe, hind',
    use: '1 x 5/16, wide toe, heels narrow and open.',
    suits: ['sliding-fit'],
    shoe: { section: steel(1, 5 / 16), fit: 'slide', modifications: [{ kind: 'slide-shoe' }], nails: three },
  },
  {
    key: 'road',
    label: 'Road team',
    use: 'Hard-faced at toe and heels, toe clip, inner branch safed.',
    suits: ['road-wear', 'road-grip', 'hauling-bar', 'brushes-inner'],
    shoe: {
      fit: 'general',
      modifications: [{ kind: 'toe-clip' }, { kind: 'hard-facing' }, { kind: 'safeing' }],
      nails: three,
    },
  },
  {
    key: 'caudal',
    label: 'Sore behind',
    use: 'Egg bar and rolled toe: breakover back, bearing under the bulbs.',
    suits: ['navicular-early-breakover', 'navicular-egg-bar', 'heels-breakover'],
    vetLeads: true,
    shoe: { fit: 'conservative', modifications: [{ kind: 'rolled-toe' }, { kind: 'egg-bar' }], nails: three },
  },
  {
    key: 'founder',
    label: 'Founder, heart bar',
    use: 'The frog carries, toe rolled, nails only behind the widest part.',
    suits: ['founder-heart-bar', 'founder-nails', 'resected-heart-bar'],
    vetLeads: true,
    shoe: {
      fit: 'conservative',
      modifications: [{ kind: 'rolled-toe' }, { kind: 'heart-bar' }],
      nails: behind,
    },
  },
  {
    key: 'four-rail',
    label: 'Founder, four-rail plate',
    use: 'Aluminium 1/2 x 1, breakover beneath the tip of P3, cushion filling.',
    suits: ['founder-four-rail', 'founder-breakover'],
    vetLeads: true,
    shoe: {
      section: { shape: 'flat', width: inches(1), thickness: inches(1 / 2), material: 'aluminium' },
      fit: 'conservative',
      modifications: [{ kind: 'four-rail-plate' }],
      nails: behind,
    },
  },
  {
    key: 'outward',
    label: 'Loaded on its outside',
    use: 'Wide outer branch, narrow inner one, inner edge safed.',
    suits: ['outside-wide-branch'],
    shoe: {
      fit: 'general',
      modifications: [{ kind: 'wide-outer-branch' }, { kind: 'safeing' }],
      nails: three,
    },
  },
  {
    key: 'twister',
    label: 'Hind that twists outward',
    use: 'Lateral trailer, boxed; the last outer hole given up.',
    suits: ['outside-trailer'],
    shoe: { fit: 'general', modifications: [{ kind: 'trailer' }], nails: three },
  },
  {
    key: 'hospital',
    label: 'Hospital plate',
    use: 'Plate over the sole, screwed to a bar between the heels.',
    suits: ['hospital-plate'],
    vetLeads: true,
    shoe: { fit: 'general', modifications: [{ kind: 'hospital-plate' }], nails: three },
  },
  {
    key: 'expander',
    label: 'Contracted heels',
    use: 'Hinged expander with its set of cross bars.',
    suits: ['contracted-expander'],
    vetLeads: true,
    shoe: {
      section: steel(5 / 8, 1 / 4),
      fit: 'conservative',
      modifications: [{ kind: 'hinged-expander' }],
      nails: { lateral: { holes: 4, driven: [1, 2] }, medial: { holes: 4, driven: [1, 2] } },
    },
  },
]

/** The templates, those that standing advice calls for first. */
export function templatesFor(adviceCodes: readonly string[]): { template: Template; because: string[] }[] {
  return TEMPLATES.map((template) => ({
    template,
    because: template.suits.filter((code) => adviceCodes.includes(code)),
  })).sort((a, b) => b.because.length - a.because.length)
}
