import { crossAt, DRAWN_AS, type Drawing, type DrawnLine } from '@crescent/core/formats'
import type { Document } from './document'
import { POINTS } from './paper'

/** Where a point of a drawing lies on the sheet, mm from its upper left corner. */
export type Onto = (point: readonly [number, number]) => readonly [number, number]

/** Letters of one millimetre, in points of type: capitals stand about 0.73 of it high. */
const LETTER = POINTS / 0.73

/** Draws every layer on the sheet. */
export function drawOn({ pdf, write }: Document, drawing: Drawing, onto: Onto): void {
  const path = ({ points, closed }: DrawnLine) => {
    points.forEach((point, i) => {
      const [x, y] = onto(point)
      if (i === 0) pdf.moveTo(x * POINTS, y * POINTS)
      else pdf.lineTo(x * POINTS, y * POINTS)
    })
    if (closed) pdf.closePath()
    pdf.stroke()
  }
  for (const { stroke, lines, holes = [], words = [] } of drawing.layers) {
    const { width, dashes } = DRAWN_AS[stroke]
    pdf
      .lineWidth(width * POINTS)
      .strokeColor('#000')
      .lineJoin('round')
    if (dashes) pdf.dash(dashes[0]! * POINTS, { space: dashes[1]! * POINTS })
    else pdf.undash()
    lines.forEach(path)
    pdf.undash()
    for (const hole of holes) {
      crossAt(hole).forEach(path)
      const [x, y] = onto(hole.at)
      if (hole.diameter) pdf.circle(x * POINTS, y * POINTS, (hole.diameter / 2) * POINTS).stroke()
    }
    for (const { text, at, height } of words) {
      const [x, y] = onto(at)
      write(text, x, y - height, { size: height * LETTER })
    }
  }
}
