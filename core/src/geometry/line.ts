import type { Curve } from './curve'
import { mix, subtract, type Vec } from './vector'

/** The straight line from `a` to `b`. */
export const line = (a: Vec, b: Vec): Curve => ({
  breaks: [0, 1],
  point: (t) => mix(a, b, t),
  derivative: () => subtract(b, a),
  second: () => [0, 0],
})
