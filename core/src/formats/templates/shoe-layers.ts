import { along, turnRight, type Vec } from '../../geometry/vector'
import type { Plan } from '../../plan/plan'
import type { SectionForm } from '../../shoe/section-form'
import type { DrawnLine, Layer } from '../drawing'
import { holeSize } from '../hole-size'
import { open, ring } from './template'

/** An edge taken off by less is not drawn, mm. */
const SEEN = 0.3

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
export const creaseLines = (plan: Plan): DrawnLine[] =>
  linesAlong(plan, ({ crease }) =>
    crease ? [crease.from - crease.width / 2, crease.from + crease.width / 2] : [],
  )

/** Where the foot surface begins to fall away inward: seated out, off the sole. */
export const seatLines = (plan: Plan): DrawnLine[] =>
  linesAlong(plan, ({ innerFoot: [across], width }) => (across > SEEN ? [width - across] : []))

/** Where the outer edge of the foot surface is boxed. */
export const boxedLines = (plan: Plan): DrawnLine[] =>
  linesAlong(plan, ({ outerFoot: [across] }) => (across > SEEN ? [across] : []))

/** Where the outer edge of the ground surface is bevelled. */
export const bevelLines = (plan: Plan): DrawnLine[] =>
  linesAlong(plan, ({ outerGround: [across] }) => (across > SEEN ? [across] : []))

/**
 * Lines along the web, one for each stretch of it on which they are.
 *
 * @param insets of the lines from the outer rim, mm, on one section; as many on all sections of a stretch
 */
function linesAlong({ cuts }: Plan, insets: (form: SectionForm) => readonly number[]): DrawnLine[] {
  const runs: Vec[][][] = []
  let before = 0
  for (const { place, form } of cuts) {
    const found = insets(form)
    if (found.length > 0 && before === 0) runs.push(found.map(() => []))
    before = found.length
    const out = turnRight(place.tangent)
    found.forEach((inset, i) => runs[runs.length - 1]![i]!.push(along(place.point, out, -inset)))
  }
  return runs.flat().flatMap((line) => (line.length > 1 ? [open(line)] : []))
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
