import type { Half } from '../terms/half'
import type { Vec } from '../geometry/vector'
import type { SectionCut } from '../modifications/build'
import { seatTilt } from '../modifications/raised'
import { barSolid, type Mesh } from './solid'

/** Columns a silhouette is taken in. */
const COLUMNS = 180

/**
 * A solid seen from its side: its silhouette as a closed line, x along the foot (y of its frame), y up from the
 * ground, mm. What lies behind what is not told apart: it is for solids that stand in one piece from below to above.
 */
export function silhouette({ corners, triangles }: Mesh): Vec[] {
  const ys = corners.map(([, y]) => y)
  const from = Math.min(...ys)
  const step = (Math.max(...ys) - from) / COLUMNS || 1
  const low = new Array<number>(COLUMNS + 1).fill(Infinity)
  const high = new Array<number>(COLUMNS + 1).fill(-Infinity)
  const cover = (a: number, b: number) => {
    const [, ay, az] = corners[a]!
    const [, by, bz] = corners[b]!
    if (ay > by) return cover(b, a)
    for (let i = Math.ceil((ay - from) / step - 1e-9); i <= (by - from) / step + 1e-9; i++) {
      const share = by - ay < 1e-9 ? 0 : Math.min(1, Math.max(0, (from + i * step - ay) / (by - ay)))
      const z = az + (bz - az) * share
      low[i] = Math.min(low[i]!, z, by - ay < 1e-9 ? bz : z)
      high[i] = Math.max(high[i]!, z, by - ay < 1e-9 ? bz : z)
    }
  }
  for (let i = 0; i < triangles.length; i += 3) {
    for (let k = 0; k < 3; k++) cover(triangles[i + k]!, triangles[i + ((k + 1) % 3)]!)
  }
  const filled = low.map((z, i) => ({ i, z })).filter(({ z }) => Number.isFinite(z))
  return [
    ...filled.map(({ i, z }): Vec => [from + i * step, z]),
    ...filled.map(({ i }): Vec => [from + i * step, high[i]!]).reverse(),
  ]
}

/** A branch from its side, with half the toe: thickness, wedge, rocker, rolled toe and bevels show as they are. */
export const elevation = (cuts: readonly SectionCut[], branch: Half): Vec[] =>
  silhouette(barSolid(cuts.filter(({ place }) => place.branch === branch || place.s === 0)))

/** How the foot stands on a shoe, seen from its side. */
export interface FootSeat {
  /** Foot surface under the buttresses, mm above the ground, pads included. */
  height: number
  /** How much the heels are raised, degrees: between the widest part and the heels. */
  tilt: number
}

/** The seat a shoe gives to the foot. */
export const footSeat = (cuts: readonly SectionCut[], padding: number): FootSeat => ({
  height: cuts[0]!.form.thickness + padding,
  tilt: seatTilt(cuts),
})
