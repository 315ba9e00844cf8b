import type { Curve } from './curve'
import type { Vec } from './vector'

/** The cubic Bezier curve with these four control points. */
export function cubic(a: Vec, b: Vec, c: Vec, d: Vec): Curve {
  const mixed = (wa: number, wb: number, wc: number, wd: number): Vec => [
    wa * a[0] + wb * b[0] + wc * c[0] + wd * d[0],
    wa * a[1] + wb * b[1] + wc * c[1] + wd * d[1],
  ]
  return {
    breaks: [0, 1],
    point: (t) => {
      const u = 1 - t
      return mixed(u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t)
    },
    derivative: (t) => {
      const u = 1 - t
      return mixed(-3 * u * u, 3 * u * (u - 2 * t), 3 * t * (2 * u - t), 3 * t * t)
    },
    second: (t) => mixed(6 * (1 - t), 6 * (3 * t - 2), 6 * (1 - 3 * t), 6 * t),
  }
}
