import type { Curve } from './curve'
import type { Vec } from './vector'

/** The cubic Bezier curve with these four control points. */
export function cubic(a: Vec, b: Vec, c: Vec, d: Vec): Curve {
  const each = (f: (i: 0 | 1) => number): Vec => [f(0), f(1)]
  return {
    breaks: [0, 1],
    point: (t) => {
      const u = 1 - t
      return each((i) => u * u * u * a[i] + 3 * u * u * t * b[i] + 3 * u * t * t * c[i] + t * t * t * d[i])
    },
    derivative: (t) => {
      const u = 1 - t
      return each((i) => 3 * (u * u * (b[i] - a[i]) + 2 * u * t * (c[i] - b[i]) + t * t * (d[i] - c[i])))
    },
    second: (t) => each((i) => 6 * ((1 - t) * (c[i] - 2 * b[i] + a[i]) + t * (d[i] - 2 * c[i] + b[i]))),
  }
}
