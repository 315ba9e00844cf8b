import type { Vec } from './vector'

/** A closed outline that is asked often whether a point lies inside it. */
export interface Region {
  edge: readonly Vec[]
  low: Vec
  high: Vec
}

/** An outline with the box it lies in. */
export function regionOf(edge: readonly Vec[]): Region {
  const xs = edge.map(([x]) => x)
  const ys = edge.map(([, y]) => y)
  return { edge, low: [Math.min(...xs), Math.min(...ys)], high: [Math.max(...xs), Math.max(...ys)] }
}

/** Whether a point lies inside a closed outline, by counting the edges that a line from it to the right crosses. */
export function inside({ edge, low, high }: Region, [x, y]: Vec): boolean {
  if (x < low[0] || x > high[0] || y < low[1] || y > high[1]) return false
  let within = false
  let a = edge[edge.length - 1]!
  for (const b of edge) {
    if (a[1] > y !== b[1] > y && x < a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1])) within = !within
    a = b
  }
  return within
}
