import type { Vec } from '../geometry/vector'
import type { Bend } from './bend'
import { branchLength, type Centreline } from './centreline'
import { sampled, SAMPLES, type Target } from './matched'

/** A shape whose directions differ by more than this from its pattern's is not corrected but shaped, radians. */
const SHAPED = 1

/** A direction is read over so many samples either way: from one to the next the noise of the points would be read. */
const READ = 4

/** No bend nearer to the middle of the toe or to the end of a branch, mm. */
const ENDS = 4

/** The bar of a pattern before it is turned, from its lateral to its medial end. */
export const straightBar = (pattern: Centreline): Vec[] =>
  pattern.stations.map((station): Vec => [pattern.toe - station, 0])

/** How a line runs at each of its samples, radians, without jumps. */
function directions(points: Centreline['points']): number[] {
  let last = 0
  return points.map((_, i) => {
    const a = points[Math.max(0, i - READ)]!
    const b = points[Math.min(points.length - 1, i + READ)]!
    const way = Math.atan2(b[1] - a[1], b[0] - a[0])
    last += i === 0 ? way : Math.atan2(Math.sin(way - last), Math.cos(way - last))
    return last
  })
}

/** By how much a pattern turns further than a shape at each sample, from the middle of the toe, radians. */
function wanted(target: Target, line: Centreline): number[] {
  const [pattern, shape] = [directions(target.points), directions(sampled(line).points)]
  const off = pattern.map((way, i) => way - shape[i]!)
  const toe = (off[SAMPLES / 2 - 1]! + off[SAMPLES / 2]!) / 2
  return off.map((one) => one - toe)
}

/** A straight bar, or a shape of quite another kind: it is not a few places that are off. */
export const isShaping = (target: Target, line: Centreline): boolean =>
  wanted(target, line).some((off) => Math.abs(off) > SHAPED)

/**
 * Where to bend a shape that is far from its pattern, and about how far: what it must turn along the bar, taken on in so
 * many steps that leave least off (by dynamic programming over where they lie).
 *
 * @returns the bends, from the lateral to the medial heel; fewer than asked for where two fall on one place
 */
export function shapingBends(target: Target, line: Centreline, count: number): Bend[] {
  const off = wanted(target, line)
  const cuts = steps(off, count)
  const mean = (from: number, to: number) =>
    off.slice(from, to).reduce((sum, one) => sum + one, 0) / (to - from)
  const edges = [0, ...cuts, SAMPLES]
  const levels = edges.slice(1).map((to, i) => mean(edges[i]!, to))
  const half = SAMPLES / 2
  return cuts.map((cut, i): Bend => {
    const branch = cut < half ? 'lateral' : 'medial'
    const share = Math.abs(cut - half) / half
    const long = branchLength(line, branch)
    // Walked from the lateral heel a line that turns on to the left closes, on either branch.
    const turned = levels[i + 1]! - levels[i]!
    return {
      branch,
      fromToe: Math.min(long - ENDS, Math.max(ENDS, share * long)),
      angle: (-turned * 180) / Math.PI,
    }
  })
}

/** The samples at which a run of figures is best cut into level pieces, one more than there are cuts. */
function steps(figures: readonly number[], count: number): number[] {
  const n = figures.length
  const [sums, squares] = [[0], [0]]
  for (const one of figures) {
    sums.push(sums[sums.length - 1]! + one)
    squares.push(squares[squares.length - 1]! + one * one)
  }
  /** What a level leaves off from one sample to before another, the sum of squares. */
  const left = (from: number, to: number) =>
    squares[to]! - squares[from]! - (sums[to]! - sums[from]!) ** 2 / (to - from)
  let best = Array.from({ length: n + 1 }, (_, to) => (to === 0 ? Infinity : left(0, to)))
  const cutAt: number[][] = []
  for (let piece = 1; piece <= count; piece++) {
    const next = new Array<number>(n + 1).fill(Infinity)
    const cut = new Array<number>(n + 1).fill(0)
    for (let to = piece + 1; to <= n; to++)
      for (let from = piece; from < to; from++) {
        const all = best[from]! + left(from, to)
        if (all < next[to]!) [next[to], cut[to]] = [all, from]
      }
    best = next
    cutAt.push(cut)
  }
  const cuts: number[] = []
  for (let piece = count - 1, to = n; piece >= 0; piece--) cuts.unshift((to = cutAt[piece]![to]!))
  return cuts
}
