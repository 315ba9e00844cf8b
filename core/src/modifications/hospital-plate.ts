import { engagement, LEAST_ENGAGEMENT, MOST_ENGAGEMENT, threadNamed, THREAD_NAMES } from '../workshop/thread'
import { parallel } from '../geometry/parallel'
import { planeArea } from '../geometry/plane-area'
import { inside, regionOf } from '../geometry/inside'
import type { Vec } from '../geometry/vector'
import { inches } from '../units/length'
import { webAt } from '../shoe/rims'
import { barBetweenHeels } from './heel-bar'
import { once, round } from './kit'
import { fieldsOf, modificationOf, type ShoePart, type ShoeContext, type FiguresOf } from './modification'
import { length, told } from '../notices/told'

const fields = fieldsOf([
  {
    key: 'clearance',
    label: 'Inside the inner rim',
    kind: 'length',
    where: 'Snug: cut from a paper rubbing of the inner rim and drawn in by this.',
    range: () => [0.3, 6],
    fallback: () => 1,
  },
  {
    key: 'thickness',
    label: 'Thickness of the plate',
    kind: 'length',
    where: 'Sheet that does not spring under the horse.',
    range: () => [1.5, 6],
    fallback: () => 3,
  },
  {
    key: 'screws',
    label: 'Screws',
    kind: 'number',
    where: 'Two or three: one in the toe, the others in the bar between the heels.',
    range: () => [2, 3],
    fallback: () => 3,
  },
  {
    key: 'thread',
    label: 'Thread',
    options: THREAD_NAMES,
    where: 'Coarse holds in soft steel, fine where the drill is a little large.',
    fallback: () => THREAD_NAMES[0],
  },
  {
    key: 'drill',
    label: 'Drill for the tap',
    kind: 'length',
    where: 'The hole that is tapped: the usual drill for its thread unless you say otherwise.',
    range: () => [4.5, 6.2],
    fallback: (_context, { thread }) => threadNamed(thread).drill,
  },
])
type Figures = FiguresOf<typeof fields>

/** The bar welded between the heels: 1 in wide and 1/4 in thick. */
const BAR = { width: inches(1), thickness: inches(1 / 4) }
/** A bar thinner than this holds few threads, mm. */
const LEAST_TO_TAP = 6
/** Half the width of the tongue that reaches over the web of the toe. */
const TONGUE = 12
/** Clearance hole: 1/4 in and a little. */
const CLEARANCE_HOLE = 6.8

/** A screw's head, sunk flush into the plate, mm across; what it fills there, mm2. */
const HEAD = 11
const HEAD_AREA = planeArea(round([0, 0], HEAD)).area

/** The plate: the inner rim drawn in by the clearance, a tongue over the toe, its back on the bar between the heels. */
const plateEdge = once((context: ShoeContext, values: Figures): Vec[] => {
  const bar = barBetweenHeels(context, '', BAR.width, BAR.thickness)
  if (!bar) return []
  const back = bar.edge[0]![1] + 2
  const { rims } = context
  const web = webAt(rims, rims.toe)
  // A corner of the rim may throw a point across it.
  const opening = regionOf(rims.inner.points)
  const rim = parallel(rims.inner, -values.clearance).points.filter(
    (point) => point[1] > back && inside(opening, point),
  )
  if (rim.length < 8) return []
  const foremost = Math.max(...rim.map(([, y]) => y))
  const tongueTop = foremost + web * 0.62
  const tongue: Vec[] = [
    [TONGUE, tongueTop],
    [-TONGUE, tongueTop],
  ]
  const lateral = rim.filter(([x]) => x > TONGUE)
  const medial = rim.filter(([x]) => x < -TONGUE)
  const first = lateral[0]
  const last = medial[medial.length - 1]
  if (!first || !last) return []
  return [[first[0], back], ...lateral, ...tongue, ...medial, [last[0], back]]
})

/** Where its screws go: through the tongue, and into the bar on either side or in its middle. */
function screwPlaces(context: ShoeContext, values: Figures): Vec[] {
  const edge = plateEdge(context, values)
  const bar = barBetweenHeels(context, '', BAR.width, BAR.thickness)
  if (!bar || edge.length === 0) return []
  const barY = bar.edge[0]![1] + BAR.width / 2
  // The plate narrows backward: its heads lie within it at their hindmost.
  const xs = crossings(edge, barY - HEAD / 2)
  const [medial, lateral] = [Math.min(...xs), Math.max(...xs)]
  const middle = (medial + lateral) / 2
  const half = Math.max(HEAD * 0.7, (lateral - medial) / 2 - HEAD / 2 - BESIDE_HEAD)
  const toe: Vec = [0, Math.max(...edge.map(([, y]) => y)) - 7]
  return values.screws === 2 ? [toe, [middle, barY]] : [toe, [middle + half, barY], [middle - half, barY]]
}

/** Plate that is left beside a screw's head, mm. */
const BESIDE_HEAD = 3

/** Where a closed line crosses a height, x. */
const crossings = (edge: readonly Vec[], y: number): number[] =>
  edge.flatMap(([ax, ay], i) => {
    const [bx, by] = edge[(i + 1) % edge.length]!
    return ay > y !== by > y ? [ax + ((bx - ax) * (y - ay)) / (by - ay)] : []
  })

/** Plate over the sole that comes off for dressing. */
export const hospitalPlate = modificationOf({
  kind: 'hospital-plate',
  ofMetal: true,
  group: 'plates',
  label: 'Hospital plate',
  purpose: 'A plate over the sole, screwed on, taken off for dressing: surgery, abscess, resection.',
  brings: ['closed sole'],
  fields,
  excludes: {
    'straight-bar': 'The plate brings its own bar between the heels',
    'heart-bar': 'The plate covers the frog; a frog plate cannot lie under it',
    'egg-bar': 'The plate brings its own bar between the heels',
    'slide-shoe': 'A slide shoe is open behind; a plate closes it',
    trailer: 'The inner heel is cut off short: there is nothing level to weld the bar to',
    'wide-toe': 'The plate needs a bar between the heels, which would carry them',
  },
  refuse: (context, values) => {
    if (!Number.isInteger(values.screws)) return 'screws are two or three'
    return plateEdge(context, values).length === 0
      ? 'the branches leave no room for a plate and its bar'
      : undefined
  },
  parts: (context, values) => {
    const edge = plateEdge(context, values)
    const { thickness } = values
    const xs = edge.map(([x]) => x)
    const ys = edge.map(([, y]) => y)
    const screws = screwPlaces(context, values)
    return [
      barBetweenHeels(context, 'Bar for the plate', BAR.width, BAR.thickness)!,
      {
        label: 'Hospital plate',
        layer: 'plate',
        edge,
        pierced: screws.map((at) => round(at, HEAD)),
        template: { kind: 'plate', holes: screws.map((at) => ({ at, diameter: CLEARANCE_HOLE })) },
        // The plate lies on the ground side of bar and web, let in to their level.
        between: [-thickness * 0.5, thickness * 0.5],
        volume: (planeArea(edge).area - screws.length * HEAD_AREA) * thickness,
        stock: {
          width: Math.max(...xs) - Math.min(...xs),
          thickness,
          length: Math.max(...ys) - Math.min(...ys),
        },
      },
      ...screws.map((at, i): ShoePart => ({
        label: `Screw ${i + 1}`,
        layer: 'fitting',
        edge: round(at, HEAD),
        between: [-thickness * 0.5, thickness * 0.5],
        // What of it stands in the shoe fills what was drilled out there.
        volume: HEAD_AREA * thickness,
      })),
    ]
  },
  handles: (context, values) => {
    const edge = plateEdge(context, values)
    const side = edge.reduce((far, point) => (point[0] > far[0] ? point : far), edge[0]!)
    return [{ field: 'clearance', point: side, along: [-1, 0] }]
  },
  forging: () => [
    {
      stage: 'weld',
      text: told`Weld a bar ${length(BAR.width)} x ${length(BAR.thickness)} between the heels, level with the ground side.`,
    },
    {
      stage: 'pieces',
      text: 'Cut the plate to the rubbing; roll its toe and heel edge to the shoe’s breakover.',
    },
    { stage: 'pieces', text: 'Drill and tap the shoe, clear and countersink the plate, screws flush.' },
  ],
  drilled: (_context, { thread, drill, screws }) => [
    { what: 'Shoe', drill, count: screws, tap: threadNamed(thread).name },
    { what: 'Plate, clear and countersunk', drill: CLEARANCE_HOLE, count: screws },
  ],
  tell: (_context, values) => {
    const thread = threadNamed(values.thread)
    return [
      told`${thread.name}: drilled ${length(values.drill, 'drill')} it holds ${engagement(thread, values.drill).toFixed(0)} % of a full thread; clear the plate with ${length(CLEARANCE_HOLE, 'drill')}.`,
    ]
  },
  cautions: (context, values) => {
    const held = engagement(threadNamed(values.thread), values.drill)
    return [
      ...(held < LEAST_ENGAGEMENT
        ? [
            {
              code: 'plate-thread',
              severity: 'caution' as const,
              title: `Thread holds only ${held.toFixed(0)} %`,
              text: `Under ${LEAST_ENGAGEMENT} % of a full thread strips when the plate is taken off often.`,
              action: 'Take a smaller drill or the finer thread.',
            },
          ]
        : []),
      ...(held > MOST_ENGAGEMENT
        ? [
            {
              code: 'plate-thread-full',
              severity: 'caution' as const,
              title: `Hole small for its tap: ${held.toFixed(0)} % of a thread`,
              text: `Above ${MOST_ENGAGEMENT} % the tap binds, and breaks in the shoe.`,
              action: 'Take the next larger drill.',
            },
          ]
        : []),
      {
        code: 'plate-vet',
        severity: 'caution',
        title: 'Hospital plate',
        text: 'What lies under it is the vet’s; a loose screw or packed dirt does harm unseen. Bare steel slips.',
        action:
          'Keep it packed and dry, tighten the screws daily, add studs or pins where the horse walks on smooth ground.',
      },
      ...(context.section.thickness < LEAST_TO_TAP
        ? [
            {
              code: 'plate-thin-shoe',
              severity: 'note' as const,
              title: 'Thin shoe to tap',
              text: told`Few threads find room in a bar under ${length(LEAST_TO_TAP)}.`,
              action: 'Take a thicker bar.',
            },
          ]
        : []),
    ]
  },
})
