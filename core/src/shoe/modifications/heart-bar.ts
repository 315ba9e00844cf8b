import { region } from '../../geometry/region'
import { barBetweenHeels, BAR_FIELDS } from './heel-bar'
import type { Vec } from '../../geometry/vector'
import type { Modification, ShoeContext, Values } from './modification'

/** The frog plate: the mapped frog drawn in by the inset, its point short of the true apex, its back at the bar. */
function plate(context: ShoeContext, values: Values): Vec[] {
  const { landmarks } = context
  const bar = barBetweenHeels(context, '', values['width']!, values['thickness']!)
  if (!bar) return []
  const front = bar.edge[1]![1]
  const tip = landmarks.frogApex[1] - values['apexGap']!
  const inset = values['inset']!
  const edge: Vec[] = []
  for (const [x, y] of landmarks.frog) {
    // The frog drawn in from its sides, and moved back so that its point keeps its distance from the apex.
    const back = y - values['apexGap']!
    if (back < front || back > tip) continue
    edge.push([Math.sign(x) * Math.max(0.2, Math.abs(x) - inset), back])
  }
  if (edge.length < 3) return []
  const first = edge[0]!
  const last = edge[edge.length - 1]!
  return [[first[0], front], ...edge, [last[0], front]]
}

/** A bar between the heels with a plate that lets the frog carry. */
export const heartBar: Modification = {
  kind: 'heart-bar',
  label: 'Heart bar',
  purpose: 'The frog carries a share: separated or resected walls, founder.',
  fields: [
    ...BAR_FIELDS,
    {
      key: 'apexGap',
      label: 'Short of the true apex',
      kind: 'length',
      where: 'From the true apex of the frog back to the point of the plate: about 3/8 in (from memory).',
      range: ({ foot }) => [5, foot.frogLength * 0.5],
      fallback: () => 25.4 * 0.375,
    },
    {
      key: 'inset',
      label: 'Inside the frog’s edge',
      kind: 'length',
      where: 'How far the plate stays inside the sides of the frog, so that it bears on no bar.',
      range: ({ foot }) => [0, foot.frogWidth * 0.3],
      fallback: () => 2,
    },
  ],
  refuse: (context, values) =>
    plate(context, values).length === 0
      ? 'the branches leave no room for bar and plate under this frog'
      : undefined,
  parts: (context, values) => {
    const { width = 0, thickness = 0 } = values
    const edge = plate(context, values)
    const ys = edge.map(([, y]) => y)
    const xs = edge.map(([x]) => x)
    const bar = barBetweenHeels(context, 'Bar of the heart bar', width, thickness)!
    return [
      bar,
      {
        label: 'Frog plate',
        layer: 'plate',
        edge,
        volume: region(edge).area * thickness,
        stock: {
          width: Math.max(...xs) - Math.min(...xs),
          thickness,
          length: Math.max(...ys) - Math.min(...ys),
        },
      },
    ]
  },
  tell: () => ['Weld the plate level with the frog at rest: touching, not pressing.'],
  cautions: ({ assumed }) => [
    {
      code: 'heart-bar-pressure',
      severity: 'caution',
      title: 'Frog plate',
      text: 'Too firm it bruises bars and frog and lames the horse.',
      action: 'To the vet’s plan and radiograph. Load it by hand first: any pain, take it off.',
    },
    ...(assumed.includes('frogApex')
      ? [
          {
            code: 'heart-bar-apex',
            severity: 'stop' as const,
            title: 'The true apex was not found',
            text: 'The plate would lie where the frog is only guessed to be.',
            action: 'Clean the frog, find its true apex and type it in the Map.',
          },
        ]
      : []),
  ],
}
