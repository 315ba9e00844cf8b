import { squaresOf } from '@crescent/core/photo-tracing'
import { PRINTED_LINE, type Card } from '@crescent/core/photographs'
import { beginPdf, type Document } from './document'
import { MARGIN, PAPERS, POINTS, type PaperName } from './paper'

/** How the card is used, in words that are printed with it. */
const WORDS: Record<Card['key'], { title: string; how: string }> = {
  square: {
    title: 'Scale card',
    how:
      'Print at 100 %, without fitting to the page. Measure the line with a rule and type its length into Crescent once. ' +
      'Cut along the outer line and glue the card to something flat and stiff. ' +
      'Lay it beside the foot, level with the sole: what lies higher or lower is seen larger or smaller, so say by how much. ' +
      'Hold the camera straight above, a good arm’s length away, all four marks and the whole foot in the picture, no shadow across the edge, no glare on the marks.',
  },
  frame: {
    title: 'Scale sheet with an opening for the foot',
    how:
      'Print at 100 %, without fitting to the page. Measure the line with a rule and type its length into Crescent once. ' +
      'Glue the sheet to something flat and stiff and cut out this opening along its line. ' +
      'Lay it round the foot, level with the sole, or say how much higher the sole is. Marks on both sides halve the error of a lens that bends lines. ' +
      'Hold the camera straight above, all four marks in the picture, no shadow across the edge, no glare on the marks.',
  },
}

/** A scale card at true size on one sheet of paper: four coded marks, a line to measure, where to cut, how to lay it. */
export function scaleCardPdf(card: Card, name: PaperName): Promise<Buffer> {
  const paper = PAPERS[name]
  const { title, how } = WORDS[card.key]
  const document = beginPdf(title)
  document.sheet(paper)
  const middle = [paper.width / 2, card.opening ? paper.height / 2 : MARGIN + 12 + card.paper[1]] as const
  /** A place on the card, x to the right and y up from the middle of its marks, as one on the paper. */
  const box = (x: number, y: number, wide: number, high: number) =>
    [(middle[0] + x) * POINTS, (middle[1] - y - high) * POINTS, wide * POINTS, high * POINTS] as const
  const { pdf, write } = document
  pdf.lineWidth(0.2 * POINTS).strokeColor('#777')
  const around = ([halfWide, halfHigh]: readonly [number, number]) =>
    pdf.rect(...box(-halfWide, -halfHigh, 2 * halfWide, 2 * halfHigh)).stroke()
  if (!card.opening) around(card.paper)
  else around(card.opening)
  for (const [id, [x, y]] of [
    [-card.across / 2, card.along / 2],
    [card.across / 2, card.along / 2],
    [card.across / 2, -card.along / 2],
    [-card.across / 2, -card.along / 2],
  ].entries() as IterableIterator<[number, [number, number]]>)
    mark(document, id, card.mark, (u, v, wide, high) => box(x + u, y + v, wide, high))
  const line = card.opening ? -card.along / 2 : 0
  rule(document, middle[0], middle[1] - line)
  if (card.opening) {
    const [halfWide, halfHigh] = card.opening
    write(title, middle[0] - halfWide + 8, middle[1] - halfHigh + 8, { size: 12, face: 'strong' })
    write(how, middle[0] - halfWide + 8, middle[1] - halfHigh + 16, { size: 10, width: 2 * halfWide - 16 })
  } else {
    write(title, MARGIN, MARGIN, { size: 12, face: 'strong' })
    write(how, MARGIN, middle[1] + card.paper[1] + 8, { size: 10, width: paper.width - 2 * MARGIN })
  }
  return document.done()
}

type Box = (x: number, y: number, wide: number, high: number) => readonly [number, number, number, number]

/** A coded mark about its middle: black, its white squares cut out of it. */
function mark({ pdf }: Document, id: number, size: number, box: Box): void {
  const squares = squaresOf(id)
  const module = size / squares.length
  pdf.rect(...box(-size / 2, -size / 2, size, size)).fill('#000')
  squares.forEach((row, j) => {
    // White squares beside each other are one, so that no seam shows between them.
    for (let i = 0; i < row.length; i++) {
      if (row[i]) continue
      const from = i
      while (row[i + 1] === false) i++
      const x = from * module - size / 2
      pdf.rect(...box(x, size / 2 - (j + 1) * module, (i + 1 - from) * module, module)).fill('#fff')
    }
  })
}

/** The line that is measured once, about its middle, with its end strokes. */
function rule({ pdf, write }: Document, x: number, y: number): void {
  const [from, to] = [x - PRINTED_LINE / 2, x + PRINTED_LINE / 2]
  pdf.lineWidth(0.25 * POINTS).strokeColor('#000')
  for (const [x1, y1, x2, y2] of [
    [from, y, to, y],
    [from, y - 2, from, y + 2],
    [to, y - 2, to, y + 2],
  ] as const)
    pdf
      .moveTo(x1 * POINTS, y1 * POINTS)
      .lineTo(x2 * POINTS, y2 * POINTS)
      .stroke()
  write(`${PRINTED_LINE} mm: measure this line`, from, y + 1, {
    size: 8,
    width: PRINTED_LINE,
    align: 'center',
  })
}
