import { formatLength, markName, shownIron, spreadLabels, type LengthStyle, type Plan } from '@crescent/core'
import type { Document } from './document'
import { POINTS } from './paper'

/** Height of the bar as it is drawn, and of the rows of figures over and under it, mm. */
const BAR = 5
const ROW = 4
/** About how wide a letter of a figure is, mm. */
const LETTER = 1.7
const SIZE = 8

/** The straight bar over the whole width, with every mark: over it from the toe mark, under it from the nearer end. Returns its height, mm. */
export function drawBar(
  { pdf, write }: Document,
  plan: Plan,
  style: LengthStyle,
  x: number,
  y: number,
  width: number,
  draw: boolean,
): number {
  const high = 3 * ROW + BAR + 4
  if (!draw) return high
  const iron = shownIron(plan.iron, style)
  const scale = width / iron.cutLength
  const toe = x + iron.branches.lateral * scale
  const places = iron.marks.map(
    ({ branch, fromMiddle }) => toe + (branch === 'lateral' ? -1 : 1) * fromMiddle * scale,
  )
  const figures = iron.marks.map(({ fromMiddle, kind }) =>
    kind === 'toe' ? '0' : formatLength(fromMiddle, style),
  )
  const names = iron.marks.map(markName)
  const labels = spreadLabels(
    places.map((at, i) => ({ at, width: Math.max(figures[i]!.length, names[i]!.length) * LETTER })),
    x,
    x + width,
  )
  const top = y + 2 * ROW + 1
  pdf
    .lineWidth(0.3 * POINTS)
    .undash()
    .strokeColor('#000')
  pdf.rect(x * POINTS, top * POINTS, width * POINTS, BAR * POINTS).fillAndStroke('#ddd', '#000')
  iron.marks.forEach((mark, i) => {
    const [at, label] = [places[i]!, labels[i]!]
    pdf.lineWidth((mark.kind === 'toe' ? 0.6 : 0.3) * POINTS)
    pdf
      .moveTo(at * POINTS, (top - 1) * POINTS)
      .lineTo(at * POINTS, (top + BAR + 1) * POINTS)
      .stroke()
    const box = { width: 30, align: 'center' as const, size: SIZE }
    write(names[i]!, label - 15, y, { ...box, size: SIZE - 1.5 })
    write(figures[i]!, label - 15, y + ROW, { ...box, face: 'strong' })
    if (mark.kind !== 'heel-end') write(formatLength(mark.fromEnd, style), label - 15, top + BAR + 1.5, box)
  })
  return high
}
