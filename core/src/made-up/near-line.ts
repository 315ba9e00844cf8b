import type { Vec } from '../geometry/vector'

/** Squares in which the line is looked for, mm; further from it than `CLEAR` nobody asks how far exactly. */
const CELL = 4
const CLEAR = 14

/** What is known of a square: the pieces of the line that can be nearest to anything in it, or how far off all of it lies. */
interface Square {
  pieces: number[]
  off?: number
}

/** How far a place lies from a closed line, mm: positive inside. Built once for a line, asked for each grain of a picture. */
export function distanceFrom(line: readonly Vec[]): (x: number, y: number) => number {
  const box = boxOf(line, 40)
  const columns = Math.ceil((box.right - box.left) / CELL) + 1
  const turns = turning(line)
  const pieces = piecesOf(line)
  const known: (Square | undefined)[] = []
  const squareAt = (column: number, row: number): Square => {
    const [cx, cy] = [box.left + (column + 0.5) * CELL, box.bottom + (row + 0.5) * CELL]
    const offs = line.map((_, i) => Math.sqrt(toPiece(pieces, i, cx, cy)))
    const least = Math.min(...offs)
    const square: Square =
      least > CLEAR
        ? { pieces: [], off: inside(line, cx, cy) ? least : -least }
        : { pieces: offs.flatMap((off, i) => (off <= least + CELL * 1.5 ? [i] : [])) }
    // A square the line does not come near lies on one side of it as a whole.
    if (square.off === undefined && least > CELL) square.off = inside(line, cx, cy) ? Infinity : -Infinity
    return square
  }
  return (x, y) => {
    if (x < box.left || x > box.right || y < box.bottom || y > box.top) return -40
    const [column, row] = [Math.floor((x - box.left) / CELL), Math.floor((y - box.bottom) / CELL)]
    const square = (known[row * columns + column] ??= squareAt(column, row))
    const near = square.pieces
    if (near.length === 0) return square.off!
    let [least, nearest] = [Infinity, 0]
    for (let k = 0; k < near.length; k++) {
      const to = toPiece(pieces, near[k]!, x, y)
      if (to >= least) continue
      least = to
      nearest = near[k]!
    }
    const is = square.off === undefined ? besideOf(line, nearest, x, y, turns) : square.off > 0
    return is ? Math.sqrt(least) : -Math.sqrt(least)
  }
}

/** Pieces of a closed line in one list, five numbers each: where it begins, how far it goes, one by its length squared. */
function piecesOf(line: readonly Vec[]): Float64Array {
  const pieces = new Float64Array(line.length * 5)
  line.forEach(([ax, ay], i) => {
    const [bx, by] = line[(i + 1) % line.length]!
    const long = (bx - ax) ** 2 + (by - ay) ** 2
    pieces.set([ax, ay, bx - ax, by - ay, long > 0 ? 1 / long : 0], i * 5)
  })
  return pieces
}

/** How far a place lies from a piece, mm squared. */
function toPiece(pieces: Float64Array, i: number, x: number, y: number): number {
  const [from, u, v] = [i * 5, x - pieces[i * 5]!, y - pieces[i * 5 + 1]!]
  const [dx, dy] = [pieces[from + 2]!, pieces[from + 3]!]
  const t = Math.min(1, Math.max(0, (u * dx + v * dy) * pieces[from + 4]!))
  const [across, up] = [u - t * dx, v - t * dy]
  return across * across + up * up
}

/** On which side of its nearest piece a place lies; where that piece only touches it with an end, the whole line is asked. */
function besideOf(line: readonly Vec[], i: number, x: number, y: number, turns: number): boolean {
  const [ax, ay] = line[i]!
  const [bx, by] = line[(i + 1) % line.length]!
  const [dx, dy] = [bx - ax, by - ay]
  const along = (x - ax) * dx + (y - ay) * dy
  if (along <= 0 || along >= dx * dx + dy * dy) return inside(line, x, y)
  return (dx * (y - ay) - dy * (x - ax)) * turns > 0
}

/** Positive for a line that is walked with its inside to the left. */
const turning = (line: readonly Vec[]): number =>
  line.reduce((sum, [x, y], i) => {
    const [u, v] = line[(i + 1) % line.length]!
    return sum + x * v - u * y
  }, 0)

export function boxOf(line: readonly Vec[], room: number) {
  const [xs, ys] = [line.map(([x]) => x), line.map(([, y]) => y)]
  return {
    left: Math.min(...xs) - room,
    right: Math.max(...xs) + room,
    bottom: Math.min(...ys) - room,
    top: Math.max(...ys) + room,
  }
}

function inside(line: readonly Vec[], x: number, y: number): boolean {
  let is = false
  for (let i = 0, j = line.length - 1; i < line.length; j = i++) {
    const [ax, ay] = line[i]!
    const [bx, by] = line[j]!
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) is = !is
  }
  return is
}
