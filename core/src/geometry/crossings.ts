import { mix, type Vec } from './vector'

/** Where segment i of a polyline crosses a later segment j; u and v are the shares along each. */
export interface Crossing {
  i: number
  j: number
  u: number
  v: number
  point: Vec
}

/** Segments are boxed in runs of this many, so that runs which lie apart are passed over whole. */
const RUN = 12

interface Box {
  left: number
  right: number
  low: number
  high: number
}

/** All places where a polyline crosses itself, in the order of the first segment. */
export function selfCrossings(points: readonly Vec[]): Crossing[] {
  if (risesAndFalls(points)) return []
  const segments = points.length - 1
  const boxes: Box[] = []
  for (let from = 0; from < segments; from += RUN)
    boxes.push(boxOf(points, from, Math.min(segments, from + RUN)))
  const found: Crossing[] = []
  for (let a = 0; a < boxes.length; a++) {
    for (let b = a; b < boxes.length; b++) {
      if (!overlap(boxes[a]!, boxes[b]!)) continue
      for (let i = a * RUN; i < Math.min(segments, (a + 1) * RUN); i++) {
        for (let j = Math.max(i + 2, b * RUN); j < Math.min(segments, (b + 1) * RUN); j++) {
          const hit = crossing(points[i]!, points[i + 1]!, points[j]!, points[j + 1]!)
          if (hit) found.push({ i, j, ...hit })
        }
      }
    }
  }
  return found
}

function boxOf(points: readonly Vec[], from: number, to: number): Box {
  const box = { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity }
  for (let i = from; i <= to; i++) {
    const [x, y] = points[i]!
    if (x < box.left) box.left = x
    if (x > box.right) box.right = x
    if (y < box.low) box.low = y
    if (y > box.high) box.high = y
  }
  return box
}

const overlap = (a: Box, b: Box): boolean =>
  a.left <= b.right && b.left <= a.right && a.low <= b.high && b.low <= a.high

/** Plain numbers and early ways out: this is the innermost loop of every parallel. */
function crossing(a: Vec, b: Vec, c: Vec, d: Vec): { u: number; v: number; point: Vec } | undefined {
  if (a[0] < c[0] && a[0] < d[0] && b[0] < c[0] && b[0] < d[0]) return undefined
  if (a[0] > c[0] && a[0] > d[0] && b[0] > c[0] && b[0] > d[0]) return undefined
  if (a[1] < c[1] && a[1] < d[1] && b[1] < c[1] && b[1] < d[1]) return undefined
  if (a[1] > c[1] && a[1] > d[1] && b[1] > c[1] && b[1] > d[1]) return undefined
  const abX = b[0] - a[0]
  const abY = b[1] - a[1]
  const cdX = d[0] - c[0]
  const cdY = d[1] - c[1]
  const slant = abX * cdY - abY * cdX
  if (slant === 0) return undefined
  const acX = c[0] - a[0]
  const acY = c[1] - a[1]
  const u = (acX * cdY - acY * cdX) / slant
  const v = (acX * abY - acY * abX) / slant
  if (u < 0 || u >= 1 || v < 0 || v >= 1) return undefined
  return { u, v, point: mix(a, b, u) }
}

/**
 * A line that rises to one highest point and then falls, all of its rise on the right of all of its fall, is never in
 * its own way: most rims are such lines, and need not be searched.
 */
function risesAndFalls(points: readonly Vec[]): boolean {
  let i = 1
  let leftmost = points[0]![0]
  for (; i < points.length && points[i]![1] > points[i - 1]![1]; i++)
    if (points[i]![0] < leftmost) leftmost = points[i]![0]
  // The highest point belongs to both.
  const top = points[i - 1]![0]
  if (top > leftmost) return false
  for (; i < points.length; i++) if (points[i]![1] >= points[i - 1]![1] || points[i]![0] > top) return false
  return true
}
