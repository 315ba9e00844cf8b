import { radians } from '../units/angle'
import type { Curve } from './curve'
import type { Vec } from './vector'

export interface EllipticArc {
  centre: Vec
  /** Half axes along x and y in mm; equal for a circle. */
  radii: Vec
  /** Degrees from the x axis, counter-clockwise. */
  start: number
  /** Degrees turned through; positive is counter-clockwise. */
  sweep: number
}

/** An arc of an ellipse with its axes along x and y. */
export function arc({ centre, radii, start, sweep }: EllipticArc): Curve {
  const turn = radians(sweep)
  const angle = (t: number) => radians(start) + turn * t
  return {
    breaks: [0, 1],
    point: (t) => [centre[0] + radii[0] * Math.cos(angle(t)), centre[1] + radii[1] * Math.sin(angle(t))],
    derivative: (t) => [-radii[0] * Math.sin(angle(t)) * turn, radii[1] * Math.cos(angle(t)) * turn],
    second: (t) => [
      -radii[0] * Math.cos(angle(t)) * turn * turn,
      -radii[1] * Math.sin(angle(t)) * turn * turn,
    ],
  }
}
