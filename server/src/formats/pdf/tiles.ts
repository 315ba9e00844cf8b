import type { Paper } from './paper'
import { MARGIN, turned } from './paper'

/** Room kept above for the title and below for the lines that prove the scale, mm. */
export const HEAD = 14
export const FOOT = 24

/** Two neighbouring sheets show so much of the same, mm. */
export const OVERLAP = 15

/** One sheet of a drawing: which part of it, from the drawing's upper left corner, mm. */
export interface Tile {
  column: number
  row: number
  left: number
  top: number
}

/** How a drawing is laid out over sheets of paper. */
export interface Tiling {
  paper: Paper
  /** Room for the drawing on each sheet, mm. */
  room: { width: number; height: number }
  columns: number
  rows: number
  tiles: Tile[]
}

/** As few sheets as there can be, upright unless lying down takes fewer; a drawing smaller than a sheet stands in its middle. */
export function tilesFor(width: number, height: number, upright: Paper): Tiling {
  const [standing, lying] = [upright, turned(upright)].map((paper) => laidOut(width, height, paper))
  return lying!.tiles.length < standing!.tiles.length ? lying! : standing!
}

function laidOut(width: number, height: number, paper: Paper): Tiling {
  const room = { width: paper.width - 2 * MARGIN, height: paper.height - 2 * MARGIN - HEAD - FOOT }
  const count = (long: number, fits: number) =>
    long <= fits ? 1 : 1 + Math.ceil((long - fits) / (fits - OVERLAP))
  const [columns, rows] = [count(width, room.width), count(height, room.height)]
  const start = (i: number, n: number, long: number, fits: number) =>
    n === 1 ? -(fits - long) / 2 : i * (fits - OVERLAP)
  return {
    ...{ paper, room, columns, rows },
    tiles: Array.from({ length: columns * rows }, (_, i): Tile => {
      const [column, row] = [i % columns, Math.floor(i / columns)]
      return {
        ...{ column, row },
        left: start(column, columns, width, room.width),
        top: start(row, rows, height, room.height),
      }
    }),
  }
}
