import { parallel } from '../../geometry/parallel'
import { region } from '../../geometry/region'
import { track, type Track } from '../../geometry/track'
import { mix, subtract, unit, type Vec } from '../../geometry/vector'
import { barBetweenHeels, barHandles, BAR_FIELDS } from './heel-bar'
import { once } from './kit'
import type { Modification, ShoeContext, Values } from './modification'

/** Steps the frog's edge is walked with before it is drawn in. */
const FROG_STEPS = 2

/** The frog plate: the mapped frog drawn in square to its edge, its point short of the true apex, its back at the bar. */
const plate = once((context: ShoeContext, values: Values): Vec[] => {
  const { landmarks } = context
  const bar = barBetweenHeels(context, '', values['width']!, values['thickness']!)
  if (!bar) return []
  const front = bar.edge[1]![1]
  const tip = landmarks.frogApex[1] - values['apexGap']!
  // The frog runs from its lateral rear round the apex: the way a foot does, so inward is to the left.
  const drawnIn = parallel(polyline(landmarks.frog), -values['inset']!).points
  const foremost = Math.max(...drawnIn.map(([, y]) => y))
  const edge: Vec[] = []
  for (const [x, y] of drawnIn) {
    // Moved back as a whole so that its point keeps its distance from the apex.
    const back = y - (foremost - tip)
    if (back >= front) edge.push([x, back])
  }
  if (edge.length < 3) return []
  const first = edge[0]!
  const last = edge[edge.length - 1]!
  return [[first[0], front], ...edge, [last[0], front]]
})

/** A track through points as they are, every stretch halved so that folds are found. */
function polyline(points: readonly Vec[]): Track {
  const dense = points.flatMap((point, i) =>
    i === 0
      ? [point]
      : Array.from({ length: FROG_STEPS }, (_, j) => mix(points[i - 1]!, point, (j + 1) / FROG_STEPS)),
  )
  const directions = dense.map((_, i) =>
    unit(subtract(dense[Math.min(dense.length - 1, i + 1)]!, dense[Math.max(0, i - 1)]!)),
  )
  return track(dense, directions)
}

/** A bar between the heels with a plate that lets the frog carry. */
export const heartBar: Modification = {
  kind: 'heart-bar',
  group: 'heels',
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
        between: [0, thickness],
        stock: {
          width: Math.max(...xs) - Math.min(...xs),
          thickness,
          length: Math.max(...ys) - Math.min(...ys),
        },
      },
    ]
  },
  handles: (context, values) => [
    {
      field: 'apexGap',
      point: [0, context.landmarks.frogApex[1] - values['apexGap']!],
      along: [0, -1],
    },
    ...barHandles(context, values),
  ],
  forging: () => [
    {
      stage: 'weld',
      text: 'Cut the frog plate from a paper rubbing, weld it to the bar, then bar and plate between the heels.',
    },
  ],
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
