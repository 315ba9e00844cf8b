import type { Document } from './document'
import { POINTS } from './paper'

/** The two lines that prove the scale, mm. */
export const CHECK_LINES = [
  { long: 100, words: '100 mm' },
  { long: 101.6, words: '4 in' },
] as const

/** How high their end strokes stand, mm, and how far apart the lines lie. */
const END = 4
const APART = 9

/** Draws both lines with what to do with them, from their upper left corner. */
export function drawScaleCheck({ pdf, write }: Document, x: number, y: number, width: number): void {
  CHECK_LINES.forEach(({ long, words }, i) => {
    const at = y + 4 + i * APART
    pdf
      .lineWidth(0.25 * POINTS)
      .strokeColor('#000')
      .undash()
    for (const [from, to] of [
      [
        [x, at],
        [x + long, at],
      ],
      [
        [x, at - END / 2],
        [x, at + END / 2],
      ],
      [
        [x + long, at - END / 2],
        [x + long, at + END / 2],
      ],
    ] as const)
      pdf
        .moveTo(from[0] * POINTS, from[1] * POINTS)
        .lineTo(to[0] * POINTS, to[1] * POINTS)
        .stroke()
    write(words, x + 2, at + 0.5, { size: 8 })
  })
  const beside = x + 107
  write(
    'Lay any rule on these lines before you cut: 100 mm and 4 in, to the width of the line. If they are short or long, print again at 100 % (no fitting to the page).',
    beside,
    y,
    { size: 8, width: Math.max(40, x + width - beside) },
  )
}
