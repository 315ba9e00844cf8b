import { figureAlong } from '../geometry/figure-along'
import { halved } from '../geometry/halved'
import { planeArea } from '../geometry/plane-area'
import type { Vec } from '../geometry/vector'
import { barBetweenHeels, barHandles, BAR_FIELDS, proudCautions } from './heel-bar'
import { once } from './kit'
import { fieldsOf, modificationOf, type ShoeContext, type FiguresOf, type Values } from './modification'
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
    range: (context, before) => [0, mostInset(context, before)],
    fallback: () => 2,
  },
])
type Figures = FiguresOf<typeof fields>

/** A plate smaller than this carries nothing, mm2. */
const LEAST_PLATE = 150

/** So much nearer to the frog's edge than asked nobody would see, mm. */
const HOLLOW = 0.02

/** Rows the frog and the plate are taken in. */
const ROWS = 22
/** Halvings to the point of the frog drawn in. */
const HALVINGS = 14

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
  const sideOf = (sign: 1 | -1): Vec[] => {
    // The frog drawn in, from its point back: how far it reaches on this side.
    const places: number[] = []
    const reaches: number[] = []
    for (let row = 0; row <= ROWS; row++) {
      const y = foremost + ((front - foremost) * row) / ROWS
      const reach = drawnInAt(frog, inset, y, sign)
      if (reach === undefined) continue
      places.push(foremost - y)
      reaches.push(reach)
    }
    const at = (behind: number) => figureAlong(places, reaches, behind)
    const rear = foremost - (places.at(-1) ?? 0)
    const side: Vec[] = []
    for (let row = 0; row <= ROWS; row++) {
      const y = tip + ((front - tip) * row) / ROWS
      // The row at the bar's front is the last of both: by rounding alone it must not be lost.
      if (y < rear - 1e-6) continue
      const reach = Math.min(at(foremost - y), at(tip - y))
      // Between two rows the frog may be hollow.
      const clear = liesIn(frog, sign * reach, y, Math.max(0, inset - HOLLOW))
      side.push([sign * (clear ? reach : Math.min(reach, drawnInAt(frog, inset, y, sign) ?? reach)), y])
    }
    return side
  }
  const lateral = sideOf(1)
  // A frog as it is mapped is even about its middle line: one side says what the other is.
  const medial = isEven(frog) ? lateral.map(([x, y]): Vec => [-x, y]) : sideOf(-1)
  const last = { lateral: lateral.at(-1), medial: medial.at(-1) }
  if (!last.lateral || !last.medial) return []
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

/** Nobody draws a plate in by more, as a share of the frog's width. */
const MOST_INSET = 0.3

/** How far a plate can be drawn in before too little of it is left, mm; where none is left at all it is refused for that. */
function mostInset(context: ShoeContext, before: Values): number {
  const { width, thickness, apexGap } = before as Omit<Figures, 'inset'>
  const carries = (inset: number): boolean => {
    const edge = plate(context, { width, thickness, apexGap, inset })
    return edge.length > 0 && planeArea(edge).area >= LEAST_PLATE
  }
  const most = context.foot.frogWidth * MOST_INSET
  return carries(most) || !carries(0) ? most : halved(0, most, carries, HALVINGS_OF_INSET)
}

/** To a few hundredths of a millimetre. */
const HALVINGS_OF_INSET = 8

/** Whether a closed line is the same from its other end, mirrored in the middle line. */
const isEven = (edge: readonly Vec[]): boolean =>
  edge.every(([x, y], i) => {
    const [u, v] = edge[edge.length - 1 - i]!
    return Math.abs(x + u) < 1e-9 && Math.abs(y - v) < 1e-9
  })

/**
 * Whether a point lies at least so far inside a closed line. Plain numbers: it is asked hundreds of times a plan, and most
 * edges lie too high or too low to come near.
 */
function liesIn(edge: readonly Vec[], x: number, y: number, deep: number): boolean {
  let inside = false
  let a = edge[edge.length - 1]!
  for (const b of edge) {
    const ay = a[1]
    const by = b[1]
    if (ay > y !== by > y && x < a[0] + ((b[0] - a[0]) * (y - ay)) / (by - ay)) inside = !inside
    if ((ay <= y + deep || by <= y + deep) && (ay >= y - deep || by >= y - deep)) {
      const dx = b[0] - a[0]
      const dy = by - ay
      const long = dx * dx + dy * dy
      const u = long === 0 ? 0 : Math.min(1, Math.max(0, ((x - a[0]) * dx + (y - ay) * dy) / long))
      const ox = x - a[0] - dx * u
      const oy = y - ay - dy * u
      if (ox * ox + oy * oy < deep * deep) return false
    }
    a = b
  }
  return inside
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
  if (!liesIn(frog, 0, y, inset)) return undefined
  let reach = Infinity
  let a = frog[frog.length - 1]!
  for (const b of frog) {
    if ((a[1] <= y + inset || b[1] <= y + inset) && (a[1] >= y - inset || b[1] >= y - inset)) {
      const near = nearEdge(sign * a[0], a[1] - y, sign * b[0], b[1] - y, inset)
      if (near < reach) reach = near
    }
    a = b
  }
  return reach
}

/**
 * Where the x axis, walked from 0, first comes nearer than a distance to an edge from a to b; never: infinity. What lies
 * so near is a band with round ends: the axis enters it over one of its sides or one of its ends.
 */
function nearEdge(ax: number, ay: number, bx: number, by: number, inset: number): number {
  let first = Infinity
  if (ay < inset && ay > -inset) first = notBehind(ax - Math.sqrt(inset * inset - ay * ay), first)
  if (by < inset && by > -inset) first = notBehind(bx - Math.sqrt(inset * inset - by * by), first)
  const dx = bx - ax
  const dy = by - ay
  if (dy === 0) return first
  const long = Math.sqrt(dx * dx + dy * dy)
  const over = (dx / long) * inset
  const u = (over - ay) / dy
  const v = (-over - ay) / dy
  if (u >= 0 && u <= 1) first = notBehind(ax + (dy / long) * inset + dx * u, first)
  if (v >= 0 && v <= 1) first = notBehind(ax - (dy / long) * inset + dx * v, first)
  return first
}

/** The nearer of two places ahead of 0. */
const notBehind = (x: number, first: number): number => (x >= 0 && x < first ? x : first)

/** The foremost height at which anything is left on the middle line of a frog drawn in, from where it is widest. */
function drawnInTip(frog: readonly Vec[], inset: number): number | undefined {
  const apex = Math.max(...frog.map(([, y]) => y))
  const widest = frog.reduce((most, point) => (point[0] > most[0] ? point : most))[1]
  // A short wide frog has its cleft near its widest place: drawn in far, nothing of it may be left.
  if (!liesIn(frog, 0, widest, inset)) return undefined
  return halved(widest, apex, (y) => liesIn(frog, 0, y, inset), HALVINGS)
}

/** A bar between the heels with a plate that lets the frog carry. */
export const heartBar = modificationOf({
  kind: 'heart-bar',
  ofMetal: true,
  group: 'heels',
  label: 'Heart bar',
  purpose: 'The frog carries a share: separated or resected walls, founder.',
  brings: ['bar', 'frog pressure'],
  fields,
  refuse: (context, values) => {
    const edge = plate(context, values)
    if (edge.length === 0) return 'the branches leave no room for bar and plate under this frog'
    return planeArea(edge).area < LEAST_PLATE
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
        // Its neck stands on the front of the bar.
        join: { welds: [[edge[0]!, edge[edge.length - 1]!]] },
        volume: planeArea(edge).area * thickness,
        template: { kind: 'frog' },
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
  cautions: (context, values) => [
    ...proudCautions(context, values.thickness),
    {
      code: 'heart-bar-pressure',
      severity: 'caution',
      title: 'Frog plate',
      text: 'Too firm it bruises bars and frog and lames the horse.',
      action: 'To the vet’s plan and radiograph. Load it by hand first: any pain, take it off.',
    },
    ...(context.assumed.includes('frogApex')
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
