import type { Vec } from './vector'

/** What a plane area weighs and where. */
export interface PlaneArea {
  /** mm2, always positive. */
  area: number
  centroid: Vec
  /** Second moments about the centroid in mm4: of y2 (about the x axis), of x2, and of xy. */
  secondMoments: { xx: number; yy: number; xy: number }
}

/**
 * Area, centroid and second moments of the region inside a closed polygon, by Green's theorem.
 *
 * @param boundary corners in order, either way round; the last joins the first
 */
export function planeArea(boundary: readonly Vec[]): PlaneArea {
  // Measured from the first corner, so that a small area far from the origin loses no digits.
  const [ox, oy] = boundary[0] ?? [0, 0]
  let doubled = 0
  let mx = 0
  let my = 0
  let xx = 0
  let yy = 0
  let xy = 0
  for (let i = 0; i < boundary.length; i++) {
    const x0 = boundary[i]![0] - ox
    const y0 = boundary[i]![1] - oy
    const x1 = boundary[(i + 1) % boundary.length]![0] - ox
    const y1 = boundary[(i + 1) % boundary.length]![1] - oy
    const c = x0 * y1 - x1 * y0
    doubled += c
    mx += c * (x0 + x1)
    my += c * (y0 + y1)
    xx += c * (y0 * y0 + y0 * y1 + y1 * y1)
    yy += c * (x0 * x0 + x0 * x1 + x1 * x1)
    xy += c * (x0 * y1 + 2 * x0 * y0 + 2 * x1 * y1 + x1 * y0)
  }
  const signed = doubled / 2
  if (signed === 0) return { area: 0, centroid: [ox, oy], secondMoments: { xx: 0, yy: 0, xy: 0 } }
  const cx = mx / (6 * signed)
  const cy = my / (6 * signed)
  const sign = Math.sign(signed)
  const area = Math.abs(signed)
  return {
    area,
    centroid: [cx + ox, cy + oy],
    secondMoments: {
      xx: (sign * xx) / 12 - area * cy * cy,
      yy: (sign * yy) / 12 - area * cx * cx,
      xy: (sign * xy) / 24 - area * cx * cy,
    },
  }
}
