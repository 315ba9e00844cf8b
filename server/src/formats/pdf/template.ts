import { boundsOf, type Drawing } from '@crescent/core/formats'
import { beginPdf, type Document } from './document'
import { drawOn } from './draw'
import { MARGIN, PAPERS, POINTS, type PaperName } from './paper'
import { drawScaleCheck } from './scale-check'
import { FOOT, HEAD, OVERLAP, tilesFor, type Tile, type Tiling } from './tiles'

/** A drawing at true size on as many sheets as it takes, each with the lines that prove its scale. */
export function templatePdf(drawing: Drawing, paper: PaperName): Promise<Buffer> {
  const { left, right, top, bottom } = boundsOf(drawing)
  const tiling = tilesFor(right - left, top - bottom, PAPERS[paper])
  const document = beginPdf(drawing.title)
  for (const tile of tiling.tiles) {
    document.sheet(tiling.paper)
    const [x, y] = [MARGIN, MARGIN + HEAD]
    head(document, drawing.title, tiling, tile)
    const { pdf } = document
    const { width, height } = tiling.room
    pdf.save()
    pdf.rect(x * POINTS, y * POINTS, width * POINTS, height * POINTS).clip()
    drawOn(document, drawing, ([px, py]) => [x + px - left - tile.left, y + top - py - tile.top])
    pdf.restore()
    joints(document, tiling, tile)
    drawScaleCheck(document, MARGIN, tiling.paper.height - MARGIN - FOOT + 4, width)
  }
  return document.done()
}

function head({ write }: Document, title: string, { columns, rows, tiles, paper }: Tiling, tile: Tile): void {
  const width = paper.width - 2 * MARGIN
  write(title, MARGIN, MARGIN, { size: 11, face: 'strong', width })
  if (tiles.length === 1) return
  const number = tile.row * columns + tile.column + 1
  const where = rows === 1 ? '' : `, row ${tile.row + 1} of ${rows}`
  write(
    `Sheet ${number} of ${tiles.length}: column ${tile.column + 1} of ${columns}${where}`,
    MARGIN,
    MARGIN + 6,
    { size: 9 },
  )
}

/** Where the next sheet begins, and where the one before ends: cut along one of them, lay it on the other and tape. */
function joints(
  { pdf, write }: Document,
  { columns, rows, room, tiles }: Tiling,
  { column, row }: Tile,
): void {
  if (tiles.length === 1) return
  const [x, y] = [MARGIN, MARGIN + HEAD]
  const line = (x1: number, y1: number, x2: number, y2: number) =>
    pdf
      .moveTo(x1 * POINTS, y1 * POINTS)
      .lineTo(x2 * POINTS, y2 * POINTS)
      .stroke()
  pdf
    .lineWidth(0.2 * POINTS)
    .strokeColor('#000')
    .dash(4, { space: 3 })
  const said = (name: string, at: number, down: number) => write(name, at, down, { size: 7 })
  if (column > 0) {
    line(x + OVERLAP, y, x + OVERLAP, y + room.height)
    said(`lies on line ${letter(column - 1)}`, x + OVERLAP + 1, y + 1)
  }
  if (column + 1 < columns) {
    const at = x + room.width
    line(at, y, at, y + room.height)
    said(`line ${letter(column)}`, at - 11, y + 1)
  }
  if (row > 0) {
    line(x, y + OVERLAP, x + room.width, y + OVERLAP)
    said(`lies on line ${row}`, x + 1, y + OVERLAP + 1)
  }
  if (row + 1 < rows) {
    const at = y + room.height
    line(x, at, x + room.width, at)
    said(`line ${row + 1}`, x + 1, at - 4)
  }
  pdf.undash()
}

const letter = (i: number): string => String.fromCharCode(65 + i)
