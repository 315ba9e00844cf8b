import type { Vec } from '../geometry/vector'
import type { Element } from './footing'

/** How finely a plate is cut up, mm: a quarter of a usual web. */
export const FINE = 3

/** Crossings of a closed line with a height, from left to right. */
function crossingsAt(edge: readonly Vec[], y: number): number[] {
  const found: number[] = []
  edge.forEach((a, i) => {
    const b = edge[(i + 1) % edge.length]!
    if (a[1] < y !== b[1] < y) found.push(a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]))
  })
  return found.sort((a, b) => a - b)
}

/**
 * A plate cut into small pieces that bear, and its edge into short ones that cut in. Slices of equal height, each as
 * wide as the plate is at its middle; what they miss of its area is given back to all of them alike.
 *
 * @param edge closed, in the foot's frame
 * @param zAt its underside at a height of the frame, mm above the ground face
 * @param area of the plate, mm2
 */
export function plateElements(
  edge: readonly Vec[],
  zAt: (y: number) => number,
  area: number,
  fine = FINE,
): Element[] {
  const ys = edge.map(([, y]) => y)
  const [low, high] = [Math.min(...ys), Math.max(...ys)]
  const rows = Math.max(2, Math.ceil((high - low) / fine))
  const tall = (high - low) / rows
  const pieces: Element[] = []
  for (let row = 0; row < rows; row++) {
    const y = low + tall * (row + 0.5)
    const across = crossingsAt(edge, y)
    for (let i = 0; i + 1 < across.length; i += 2) {
      const [from, to] = [across[i]!, across[i + 1]!]
      const columns = Math.max(1, Math.ceil((to - from) / fine))
      const wide = (to - from) / columns
      for (let column = 0; column < columns; column++) {
        pieces.push({ at: [from + wide * (column + 0.5), y], z: zAt(y), area: wide * tall, edge: 0 })
      }
    }
  }
  const sum = pieces.reduce((total, one) => total + one.area, 0)
  const even = sum > 0 ? area / sum : 0
  return [...pieces.map((one) => ({ ...one, area: one.area * even })), ...edgeElements(edge, zAt, fine)]
}

/** The edge alone, in short pieces. */
function edgeElements(edge: readonly Vec[], zAt: (y: number) => number, fine: number): Element[] {
  return edge.flatMap((a, i) => {
    const b = edge[(i + 1) % edge.length]!
    const long = Math.hypot(b[0] - a[0], b[1] - a[1])
    const count = Math.ceil(long / (2 * fine))
    return Array.from({ length: count }, (_, j): Element => {
      const share = (j + 0.5) / count
      const y = a[1] + (b[1] - a[1]) * share
      return { at: [a[0] + (b[0] - a[0]) * share, y], z: zAt(y), area: 0, edge: long / count }
    })
  })
}
