import { planeArea } from '../geometry/plane-area'
import { webAt } from '../shoe/rims'
import { dressed, stationAt } from './kit'
import { fieldsOf, modificationOf, type ShoePart, type ShoeContext, type FiguresOf } from './modification'
import { HALVES } from '../terms/half'

const PLACES = ['toe', 'heels', 'toe and heels'] as const

const fields = fieldsOf([
  {
    key: 'height',
    label: 'Height of the bead',
    kind: 'length',
    where: 'Above the ground face.',
    range: () => [0.5, 4],
    fallback: () => 1.5,
  },
  {
    key: 'place',
    label: 'Laid on',
    options: PLACES,
    where: 'Where the worn shoe shows it.',
    fallback: () => 'toe and heels',
  },
])
type Figures = FiguresOf<typeof fields>

/** Stretches that are faced: from and to as shares of a branch. */
const TOE = 0.22
const HEELS = [0.78, 0.97] as const

function beads(context: ShoeContext, place: Figures['place']): ShoePart[] {
  const across = (station: number): [number, number] => {
    const web = webAt(context.rims, station)
    return [web * 0.2, web * 0.8]
  }
  const bead = (label: string, from: number, to: number) =>
    dressed(context, label, 'ground', from, to, across)
  const found: ShoePart[] = []
  if (place !== 'heels')
    found.push(
      bead('Facing at the toe', stationAt(context, 'lateral', TOE), stationAt(context, 'medial', TOE)),
    )
  if (place !== 'toe') {
    for (const branch of HALVES) {
      const ends = HEELS.map((share) => stationAt(context, branch, share)) as [number, number]
      found.push(bead(branch === 'lateral' ? 'Facing, outer heel' : 'Facing, inner heel', ...ends))
    }
  }
  return found
}

/** Hard metal laid on where the shoe wears. */
export const hardFacing = modificationOf({
  kind: 'hard-facing',
  ofMetal: true,
  group: 'wear',
  label: 'Hard-facing',
  purpose: 'Hard metal laid on where it wears: on roads weeks of wear become months.',
  brings: ['hard wearing'],
  fields,
  refuse: ({ section }) =>
    section.material === 'aluminium' ? 'aluminium cannot be hard-faced; choose steel or studs' : undefined,
  parts: (context, values) =>
    beads(context, values.place).map((bead) => ({
      ...bead,
      between: [-values.height, 0] as const,
      volume: planeArea(bead.edge).area * values.height,
    })),
  handles: ({ foot }, values) => [
    { field: 'height', point: [foot.widestFromToe * 0.6, -values.height], along: [0, -1], view: 'side' },
  ],
  forging: () => [
    {
      stage: 'pieces',
      text: 'Lay on the hard metal when the shoe is finished and level; grind the beads level.',
    },
  ],
  cautions: () => [
    {
      code: 'facing-fume',
      severity: 'caution',
      title: 'Fume and grip',
      text: 'Fumes of hard-facing harm; no zinc near the flame. What grips more loads the joints more.',
      action: 'Work in moving air, eyes covered. The same on all shoes of a pair.',
    },
  ],
})
