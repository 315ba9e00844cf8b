import { Matrix, solve } from 'ml-matrix'
import type { Vec } from '../geometry/vector'
import { placeAt, seenAt, type View } from './view'

/** A plane seen in a picture, and how far its marks lie from where they should, root mean square in mm. */
export interface SeenPlane {
  view: View
  residual: number
}

/** A lens term is kept where it leaves less than this share of the residual without it. */
const WORTH = 0.7

/**
 * The view that carries places of a plane onto where they were seen: linear at first, then nearest to all of them in least
 * squares of pixels (Gauss-Newton); once more with a lens that bends lines, kept where it is worth it.
 *
 * @param places mm; four or more, no three in a line
 * @param pixels where they are seen, in the same order
 */
export function planeSeen(
  places: readonly Vec[],
  pixels: readonly Vec[],
  { width, height }: Pick<View, 'width' | 'height'>,
): SeenPlane {
  const straight = refined(
    { homography: linear(places, pixels), bend: 0, width, height },
    places,
    pixels,
    false,
  )
  // Two marks say nothing of a lens: it takes at least as many places as can disagree.
  const lens = places.length >= 12 ? refined(straight, places, pixels, true) : straight
  const [without, withLens] = [straight, lens].map((view) => residual(view, places, pixels))
  return withLens! < without! * WORTH
    ? { view: lens, residual: withLens! }
    : { view: straight, residual: without! }
}

/** Root mean square of how far places lie from where they were seen, in mm of the plane. */
function residual(view: View, places: readonly Vec[], pixels: readonly Vec[]): number {
  const sum = places.reduce((total, [x, y], i) => {
    const [a, b] = placeAt(view, pixels[i]!)
    return total + (a - x) ** 2 + (b - y) ** 2
  }, 0)
  return Math.sqrt(sum / places.length)
}

/** The direct linear transform with the last number 1: places and pixels counted from their middles, so that it is sound. */
function linear(places: readonly Vec[], pixels: readonly Vec[]): number[] {
  const [from, to] = [centred(places), centred(pixels)]
  const rows: number[][] = []
  const right: number[] = []
  from.points.forEach(([x, y], i) => {
    const [u, v] = to.points[i]!
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y])
    right.push(u, v)
  })
  const found = solve(new Matrix(rows), Matrix.columnVector(right)).to1DArray()
  const inner = new Matrix([found.slice(0, 3), found.slice(3, 6), [found[6]!, found[7]!, 1]])
  const whole = to.back.mmul(inner).mmul(from.there).to1DArray()
  return whole.map((value) => value / whole[8]!)
}

/** Points counted from their middle in units of their spread; the matrix that does it, and the one that takes it back. */
function centred(points: readonly Vec[]): { points: Vec[]; there: Matrix; back: Matrix } {
  const n = points.length
  const [cx, cy] = [
    points.reduce((sum, [x]) => sum + x, 0) / n,
    points.reduce((sum, [, y]) => sum + y, 0) / n,
  ]
  const spread = points.reduce((sum, [x, y]) => sum + Math.hypot(x - cx, y - cy), 0) / n / Math.SQRT2
  return {
    points: points.map(([x, y]): Vec => [(x - cx) / spread, (y - cy) / spread]),
    there: new Matrix([
      [1 / spread, 0, -cx / spread],
      [0, 1 / spread, -cy / spread],
      [0, 0, 1],
    ]),
    back: new Matrix([
      [spread, 0, cx],
      [0, spread, cy],
      [0, 0, 1],
    ]),
  }
}

/** Gauss-Newton over the eight numbers of the view, and the lens where it is asked for. */
function refined(first: View, places: readonly Vec[], pixels: readonly Vec[], withLens: boolean): View {
  let view = first
  const values = (of: View): number[] => [...of.homography.slice(0, 8), ...(withLens ? [of.bend] : [])]
  const made = (from: readonly number[]): View => ({
    ...view,
    homography: [...from.slice(0, 8), 1],
    bend: withLens ? from[8]! : 0,
  })
  const off = (of: View): number[] =>
    places.flatMap((place, i) => {
      const [u, v] = seenAt(of, place)
      return [pixels[i]![0] - u, pixels[i]![1] - v]
    })
  for (let round = 0; round < 8; round++) {
    const now = values(view)
    const here = off(view)
    const columns = now.map((value, k) => {
      const step = Math.max(Math.abs(value), k < 6 ? 1e-3 : 1e-6) * 1e-5
      const moved = off(made(now.map((each, i) => (i === k ? each + step : each))))
      return moved.map((each, i) => (here[i]! - each) / step)
    })
    // Columns differ by powers of ten; each is weighed by its own length.
    const lengths = columns.map((column) => Math.hypot(...column) || 1)
    const rows = here.map((_, i) => columns.map((column, k) => column[i]! / lengths[k]!))
    const by = solve(new Matrix(rows), Matrix.columnVector(here), true).to1DArray()
    const next = made(now.map((value, k) => value + by[k]! / lengths[k]!))
    const better = Math.hypot(...off(next)) < Math.hypot(...here)
    if (!better) break
    view = next
  }
  return view
}
