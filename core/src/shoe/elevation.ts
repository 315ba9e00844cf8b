import type { Vec } from '../geometry/vector'
import type { Half } from '../foot/half'
import type { SectionCut } from './build'
import { sectionOutline } from './section-form'

/** Columns the silhouette is taken in. */
const COLUMNS = 180

/**
 * A branch seen from its side: its silhouette as a closed line, x along the foot (y of its frame), y up from the
 * ground, mm. Thickness, wedge, rocker, rolled toe and bevels show as they are.
 */
export function elevation(cuts: readonly SectionCut[], branch: Half): Vec[] {
  const own = cuts.filter(({ place }) => place.branch === branch || place.s === 0)
  const seen = own.map(({ place, form }) => {
    // Inward along y: how far a point of the section lies behind or ahead of the rim.
    const inward = place.tangent[0]
    return sectionOutline(form).map(([u, z]): Vec => [place.point[1] + inward * u, z])
  })
  const ys = seen.flat().map(([y]) => y)
  const from = Math.min(...ys)
  const step = (Math.max(...ys) - from) / COLUMNS
  const low = new Array<number>(COLUMNS + 1).fill(Infinity)
  const high = new Array<number>(COLUMNS + 1).fill(-Infinity)
  const cover = (a: Vec, b: Vec) => {
    const [left, right] = a[0] <= b[0] ? [a, b] : [b, a]
    for (let i = Math.ceil((left[0] - from) / step - 1e-9); i <= (right[0] - from) / step + 1e-9; i++) {
      const span = right[0] - left[0]
      const share = span < 1e-9 ? 0 : (from + i * step - left[0]) / span
      const z = left[1] + (right[1] - left[1]) * Math.min(1, Math.max(0, share))
      if (z < low[i]!) low[i] = z
      if (z > high[i]!) high[i] = z
    }
  }
  seen.forEach((ring, i) => {
    ring.forEach((point, k) => {
      cover(point, ring[(k + 1) % ring.length]!)
      const beside = seen[i + 1]?.[k]
      if (beside) cover(point, beside)
    })
  })
  const filled = low.map((z, i) => ({ i, z })).filter(({ z }) => Number.isFinite(z))
  return [
    ...filled.map(({ i, z }): Vec => [from + i * step, z]),
    ...filled.map(({ i }): Vec => [from + i * step, high[i]!]).reverse(),
  ]
}
