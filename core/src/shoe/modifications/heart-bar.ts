import { parallel } from '../../geometry/parallel'
import { region } from '../../geometry/region'
import { track, type Track } from '../../geometry/track'
import { mix, subtract, unit, type Vec } from '../../geometry/vector'
import { barBetweenHeels, barHandles, BAR_FIELDS } from './heel-bar'
import { once } from './kit'
import type { Modification, ShoeContext, Values } from './modification'

/** Steps the frog's edge is walked with before it is drawn in. */
const FROG_STEPS = 2

/** A plate smaller than this carries nothing, mm2. */
const LEAST_PLATE = 150

/** Rows the plate is drawn in from its point to the bar. */
const ROWS = 36

/**
 * The frog plate: the mapped frog drawn in square to its edge and set back until its point is short of the true apex.
 * Where the frog narrows toward its rear the plate narrows with it; behind the frog a neck goes on to the bar.
 */
const plate = once((context: ShoeContext, values: Values): Vec[] => {
  const { landmarks } = context
  const bar = barBetweenHeels(context, '', values['width']!, values['thickness']!)
  if (!bar) return []
  const front = bar.edge[1]![1]
  // The frog runs from its lateral rear round the apex: the way a foot does, so inward is to the left.
  const drawnIn = parallel(polyline(landmarks.frog), -values['inset']!).points
  if (drawnIn.length < 3) return []
  const foremost = Math.max(...drawnIn.map(([, y]) => y))
  const tip = Math.min(foremost, landmarks.frogApex[1] - values['apexGap']!)
  if (tip <= front) return []
  const lateral: Vec[] = []
  const medial: Vec[] = []
  for (let row = 0; row <= ROWS; row++) {
    const y = tip + ((front - tip) * row) / ROWS
    const here = across(drawnIn, y)
    const ahead = across(drawnIn, y + foremost - tip)
    if (!here || !ahead) continue
    const [left, right] = [Math.max(here[0], ahead[0]), Math.min(here[1], ahead[1])]
    lateral.push([right, y])
    // The plate may begin in a point.
    if (right > left) medial.push([left, y])
  }
  const last = { lateral: lateral.at(-1), medial: medial.at(-1) }
  if (!last.lateral || !last.medial) return []
  const neck = (at: Vec): Vec[] => (at[1] > front ? [[at[0], front]] : [])
  return [...neck(last.lateral), ...lateral.reverse(), ...medial, ...neck(last.medial)]
})

/** How far a closed line reaches to either side at a height, least x first; undefined where it does not reach it. */
function across(edge: readonly Vec[], y: number): readonly [number, number] | undefined {
  const found: number[] = []
  edge.forEach((a, i) => {
    const b = edge[(i + 1) % edge.length]!
    if (a[1] === y) found.push(a[0])
    else if (a[1] < y !== b[1] < y) found.push(a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]))
  })
  return found.length === 0 ? undefined : [Math.min(...found), Math.max(...found)]
}

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
  refuse: (context, values) => {
    const edge = plate(context, values)
    if (edge.length === 0) return 'the branches leave no room for bar and plate under this frog'
    return region(edge).area < LEAST_PLATE
      ? 'drawn in this far from the frog’s edge no plate is left; let it come nearer'
      : undefined
  },
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
