import { EigenvalueDecomposition, Matrix, solve } from 'ml-matrix'
import { splineThrough } from '../geometry/spline'
import { pointAlong, stationsAlong } from '../geometry/walked'
import { distance, type Vec } from '../geometry/vector'

/** Knots of a traced outline: a few mm apart on a horse's foot, and no hand wants to drag more. */
export const KNOTS = 49

/** A line is looked at in so many places at the most: as fine as an eye sees on paper. */
const PLACES = 96

/** How stiff the spline may be: from what follows every point to what only turns, each step half as stiff again as ten times. */
const STIFFNESS = Array.from({ length: 29 }, (_, i) => 10 ** (-8 + i * 0.5))

/**
 * Knots of the smoothing spline through the points of a line, evenly along it, as stiff as the points themselves say
 * (generalised cross-validation, Craven and Wahba, Numer. Math. 31, 1979: what it leaves out must look like the shake of a
 * hand, not like a shape).
 *
 * @param points of an open line in their order, mm, in any density; five or more
 */
export function smoothedKnots(points: readonly Vec[], count = KNOTS): [number, number][] {
  const places = fewer(points)
  const stations = stationsAlong(places)
  const smooth = smoothed(places, stations)
  const curve = splineThrough(smooth)
  // Even along the curve itself: walked in small steps.
  const walked = Array.from({ length: 20 * count + 1 }, (_, i) => curve.point(i / (20 * count)))
  const along = stationsAlong(walked)
  const whole = along[along.length - 1]!
  return Array.from({ length: count }, (_, i) => [...pointAlong(walked, (whole * i) / (count - 1), along)])
}

/** A dense line by the middle of each short stretch; a line of few points by those, a coarse drawing at even steps. */
function fewer(points: readonly Vec[]): Vec[] {
  const stations = stationsAlong(points)
  const whole = stations[stations.length - 1]!
  if (points.length >= 4 * PLACES) {
    const sums = Array.from({ length: PLACES - 2 }, () => [0, 0, 0] as [number, number, number])
    points.forEach(([x, y], i) => {
      const sum = sums[Math.min(PLACES - 3, Math.floor((stations[i]! / whole) * (PLACES - 2)))]!
      sum[0] += x
      sum[1] += y
      sum[2]++
    })
    const middles = sums.flatMap(([x, y, n]): Vec[] => (n > 0 ? [[x / n, y / n]] : []))
    return apart([points[0]!, ...middles, points[points.length - 1]!])
  }
  if (points.length > PLACES)
    return apart(
      Array.from({ length: PLACES }, (_, i) => pointAlong(points, (whole * i) / (PLACES - 1), stations)),
    )
  return apart(points)
}

/** Without points that lie upon the one before. */
const apart = (points: readonly Vec[]): Vec[] =>
  points.filter((point, i) => i === 0 || distance(point, points[i - 1]!) > 1e-6)

/** The places moved onto their smoothing spline (natural, cubic), both coordinates equally stiff. */
function smoothed(places: readonly Vec[], stations: readonly number[]): Vec[] {
  const n = places.length
  if (n < 5) return [...places]
  const whole = stations[n - 1]!
  const roughness = bendingEnergy(stations.map((station) => station / whole))
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(roughness, {
    assumeSymmetric: true,
  })
  const within = eigenvectorMatrix.transpose().mmul(new Matrix(places.map(([x, y]) => [x, y])))
  const kept = (stiff: number, k: number) => 1 / (1 + stiff * Math.max(0, realEigenvalues[k]!))
  let best = { score: Infinity, stiff: STIFFNESS[0]! }
  for (const stiff of STIFFNESS) {
    let [left, free] = [0, 0]
    for (let k = 0; k < n; k++) {
      const out = 1 - kept(stiff, k)
      left += out * out * (within.get(k, 0) ** 2 + within.get(k, 1) ** 2)
      free += out
    }
    // A billionth of a mm: an exact drawing leaves nothing, and any stiffness that leaves nothing is as good.
    const score = (left + 1e-9) / (free * free)
    if (score < best.score) best = { score, stiff }
  }
  for (let k = 0; k < n; k++) for (const c of [0, 1]) within.set(k, c, within.get(k, c) * kept(best.stiff, k))
  return eigenvectorMatrix
    .mmul(within)
    .to2DArray()
    .map(([x, y]): Vec => [x!, y!])
}

/** What bending a natural cubic spline through values at these places costs, as a form of the values (Q R^-1 Q'). */
function bendingEnergy(at: readonly number[]): Matrix {
  const n = at.length
  const q = Matrix.zeros(n, n - 2)
  const r = Matrix.zeros(n - 2, n - 2)
  for (let j = 1; j < n - 1; j++) {
    const [before, after] = [at[j]! - at[j - 1]!, at[j + 1]! - at[j]!]
    q.set(j - 1, j - 1, 1 / before)
    q.set(j, j - 1, -1 / before - 1 / after)
    q.set(j + 1, j - 1, 1 / after)
    r.set(j - 1, j - 1, (before + after) / 3)
    if (j < n - 2) {
      r.set(j - 1, j, after / 6)
      r.set(j, j - 1, after / 6)
    }
  }
  return q.mmul(solve(r, q.transpose()))
}
