import { along, turnRight, type Vec } from '../../geometry/vector'
import type { Plan } from '../../plan/plan'
import type { DrawnLine, Layer } from '../drawing'
import { holeSize } from '../hole-size'
import { open, ring } from './template'

/** How far the line at the middle of the toe stands out beyond the web, mm. */
const TOE_MARK = 4

/** The shoe as it is cut or turned, its welds and its holes. */
export function shoeLayers(plan: Plan): Layer[] {
  const welds = plan.parts.flatMap(({ join }) => join?.welds ?? [])
  return [
    { name: 'Shoe', stroke: 'cut', lines: plan.outline.whole.map(ring) },
    ...layerOf('Welds', 'fine', welds.map(open)),
    {
      name: 'Nail holes',
      stroke: 'fine',
      lines: [],
      holes: plan.nails.map(({ x, y }) => ({ at: [x, y], diameter: holeSize(plan) })),
    },
    { name: 'Middle of the toe', stroke: 'fine', lines: [toeLine(plan)] },
    ...layerOf('Saw line', 'cut', (plan.moulded?.saw ?? []).map(open)),
  ]
}

/** What of the foot helps to lay it on: its outline, white line and frog. */
export const footLayers = ({ outline, landmarks }: Plan): Layer[] => [
  { name: 'Foot', stroke: 'look', lines: [ring(outline.foot)] },
  {
    name: 'White line',
    stroke: 'fine',
    lines: [open(landmarks.whiteLineOuter), open(landmarks.whiteLineInner)],
  },
  { name: 'Frog', stroke: 'fine', lines: [ring(landmarks.frog)] },
]

/** A layer, where there is anything to draw in it. */
export const layerOf = (name: string, stroke: Layer['stroke'], lines: readonly DrawnLine[]): Layer[] =>
  lines.length > 0 ? [{ name, stroke, lines }] : []

/** The edges of the crease in the ground face, one pair for each run of it. */
export function creaseLines({ cuts }: Plan): DrawnLine[] {
  const runs: { outer: Vec[]; inner: Vec[] }[] = []
  let inRun = false
  for (const { place, form } of cuts) {
    if (!form.crease) {
      inRun = false
      continue
    }
    if (!inRun) runs.push({ outer: [], inner: [] })
    inRun = true
    const run = runs[runs.length - 1]!
    const { from, width } = form.crease
    const out = turnRight(place.tangent)
    run.outer.push(along(place.point, out, width / 2 - from))
    run.inner.push(along(place.point, out, -width / 2 - from))
  }
  return runs.flatMap(({ outer, inner }) => (outer.length > 1 ? [open(outer), open(inner)] : []))
}

/** Across the web where the toe is foremost on the foot's axis. */
function toeLine({ outline, section }: Plan): DrawnLine {
  const onAxis = outline.outer.filter(([, y]) => y > 0)
  const [x, y] = onAxis.reduce((near, point) => (Math.abs(point[0]) < Math.abs(near[0]) ? point : near))
  return open([
    [x, y + TOE_MARK],
    [x, y - section.width - TOE_MARK],
  ])
}
