import { figureAlong } from '../geometry/figure-along'
import { region } from '../geometry/region'
import type { Vec } from '../geometry/vector'
import { barBetweenHeels, barHandles, BAR_FIELDS } from './heel-bar'
import { once } from './kit'
import { fieldsOf, modificationOf, type ShoeContext, type FiguresOf } from './modification'
import { inches } from '../units/length'
import { length, told } from '../notices/told'

const fields = fieldsOf([
  ...BAR_FIELDS,
  {
    key: 'apexGap',
    label: 'Short of the true apex',
    kind: 'length',
    ofFoot: true,
    where: told`From the true apex of the frog back to the point of the plate: about ${length(inches(3 / 8))} (from memory).`,
    range: ({ foot }) => [5, foot.frogLength * 0.5],
    fallback: () => inches(3 / 8),
  },
  {
    key: 'inset',
    label: 'Inside the frog’s edge',
    kind: 'length',
    ofFoot: true,
    where: 'How far the plate stays inside the sides of the frog, so that it bears on no bar.',
    range: ({ foot }) => [0, foot.frogWidth * 0.3],
    fallback: () => 2,
  },
])
type Figures = FiguresOf<typeof fields>

/** A plate smaller than this carries nothing, mm2. */
const LEAST_PLATE = 150

/** So much nearer to the frog's edge than asked nobody would see, mm. */
const HOLLOW = 0.02

/** Rows the frog and the plate are taken in, and halvings to the edge in each. */
const ROWS = 28
const HALVINGS = 11

/**
 * The frog plate: everything of the mapped frog that lies as far inside its edge as asked, set back until its point is
 * short of the true apex. Where the frog narrows toward its rear the plate narrows with it; behind the frog a neck
 * goes on to the bar.
 */
const plate = once((context: ShoeContext, values: Figures): Vec[] => {
  const { frog, frogApex } = context.landmarks
  const { inset, apexGap } = values
  const bar = barBetweenHeels(context, '', values.width, values.thickness)
  if (!bar) return []
  const front = bar.edge[1]![1]
  const foremost = drawnInTip(frog, inset)
  if (foremost === undefined) return []
  const tip = Math.min(foremost, frogApex[1] - apexGap)
  if (tip <= front) return []
  const [lateral, medial] = ([1, -1] as const).map((sign): Vec[] => {
    // The frog drawn in, from its point back: how far it reaches on this side.
    const rows = Array.from({ length: ROWS + 1 }, (_, row) => foremost + ((front - foremost) * row) / ROWS)
    const known = rows.flatMap((y) => {
      const reach = drawnInAt(frog, inset, y, sign)
      return reach === undefined ? [] : [{ behind: foremost - y, reach }]
    })
    const at = (behind: number) =>
      figureAlong(
        known.map((one) => one.behind),
        known.map((one) => one.reach),
        behind,
      )
    const rear = foremost - (known.at(-1)?.behind ?? 0)
    return rows.flatMap((_, row): Vec[] => {
      const y = tip + ((front - tip) * row) / ROWS
      if (y < rear) return []
      const reach = Math.min(at(foremost - y), at(tip - y))
      // Between two rows the frog may be hollow.
      const clear = within(frog, sign * reach, y) >= inset - HOLLOW
      return [[sign * (clear ? reach : Math.min(reach, drawnInAt(frog, inset, y, sign) ?? reach)), y]]
    })
  })
  const last = { lateral: lateral?.at(-1), medial: medial?.at(-1) }
  if (!lateral || !medial || !last.lateral || !last.medial) return []
  const neck = ([x, y]: Vec): Vec[] => {
    if (y <= front) return []
    const sign = x < 0 ? -1 : 1
    // Beside the cleft the frog's lobes may still lie under it.
    return [[sign * Math.min(Math.abs(x), widestAt(frog, front, sign) - inset), front]]
  }
  // The plate may begin in a point: one of both sides' is enough there.
  const both = medial.filter(([x], i) => x < lateral[i]![0])
  return [...neck(last.lateral), ...lateral.reverse(), ...both, ...neck(last.medial)]
})

/** How far inside a closed line a point lies, mm; minus outside. Plain numbers: it is asked hundreds of times a plan. */
function within(edge: readonly Vec[], x: number, y: number): number {
  let inside = false
  let least = Infinity
  let ax = edge[edge.length - 1]![0]
  let ay = edge[edge.length - 1]![1]
  for (const point of edge) {
    const bx = point[0]
    const by = point[1]
    const dx = bx - ax
    const dy = by - ay
    if (ay > y !== by > y && x < ax + (dx * (y - ay)) / dy) inside = !inside
    const long = dx * dx + dy * dy
    const u = long === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / long))
    const ox = x - ax - dx * u
    const oy = y - ay - dy * u
    const gap = ox * ox + oy * oy
    if (gap < least) least = gap
    ax = bx
    ay = by
  }
  return inside ? Math.sqrt(least) : -Math.sqrt(least)
}

/** How far out a closed line reaches on one side at a height; any way where it does not reach so far back. */
function widestAt(edge: readonly Vec[], y: number, sign: 1 | -1): number {
  const found = edge.flatMap((a, i) => {
    const b = edge[(i + 1) % edge.length]!
    return a[1] < y === b[1] < y ? [] : [sign * (a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]))]
  })
  return found.length > 0 ? Math.max(...found) : Infinity
}

/** How far from the middle line a frog reaches at a height on one side when drawn in; undefined where nothing is left. */
function drawnInAt(frog: readonly Vec[], inset: number, y: number, sign: 1 | -1): number | undefined {
  if (within(frog, 0, y) < inset) return undefined
  let low = 0
  let high = Math.max(...frog.map(([x]) => x * sign))
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    if (within(frog, sign * middle, y) < inset) high = middle
    else low = middle
  }
  return low
}

/** The foremost height at which anything is left on the middle line of a frog drawn in, from where it is widest. */
function drawnInTip(frog: readonly Vec[], inset: number): number | undefined {
  const apex = Math.max(...frog.map(([, y]) => y))
  const widest = frog.reduce((most, point) => (point[0] > most[0] ? point : most))[1]
  if (within(frog, 0, widest) < inset) return undefined
  let [low, high] = [widest, apex]
  for (let i = 0; i < 2 * HALVINGS; i++) {
    const middle = (low + high) / 2
    if (within(frog, 0, middle) < inset) high = middle
    else low = middle
  }
  return low
}

/** A bar between the heels with a plate that lets the frog carry. */
export const heartBar = modificationOf({
  kind: 'heart-bar',
  group: 'heels',
  label: 'Heart bar',
  purpose: 'The frog carries a share: separated or resected walls, founder.',
  brings: ['bar', 'frog pressure'],
  fields,
  refuse: (context, values) => {
    const edge = plate(context, values)
    if (edge.length === 0) return 'the branches leave no room for bar and plate under this frog'
    return region(edge).area < LEAST_PLATE
      ? 'drawn in this far from the frog’s edge no plate is left; let it come nearer'
      : undefined
  },
  parts: (context, values) => {
    const { width, thickness } = values
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
      point: [0, context.landmarks.frogApex[1] - values.apexGap],
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
})
