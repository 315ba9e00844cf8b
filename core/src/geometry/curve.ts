import { integrate } from './quadrature'
import { cross, magnitude, turnRight, unit, type Vec } from './vector'

/**
 * A plane curve over the parameter t from 0 to 1, in millimetres.
 * Shapes give point and derivatives; everything else is asked of the functions below.
 */
export interface Curve {
  point(t: number): Vec
  /** First derivative by t, in mm. */
  derivative(t: number): Vec
  /** Second derivative by t, in mm. */
  second(t: number): Vec
  /** Ascending parameters, 0 and 1 included, between which the curve is smooth. */
  readonly breaks: readonly number[]
}

/** The direction of travel at t, of length 1. */
export const tangent = (curve: Curve, t: number): Vec => unit(curve.derivative(t))

/** The direction square to the travel, on its right: outward where the curve runs counter-clockwise. */
export const normal = (curve: Curve, t: number): Vec => turnRight(tangent(curve, t))

/** Signed curvature in 1/mm, positive where the curve turns left. */
export function curvature(curve: Curve, t: number): number {
  const first = curve.derivative(t)
  return cross(first, curve.second(t)) / magnitude(first) ** 3
}

/** Arc length between two parameters in mm, to 1e-9 relative; negative when `to` lies before `from`. */
export function arcLength(curve: Curve, from = 0, to = 1): number {
  if (to < from) return -arcLength(curve, to, from)
  const speed = (t: number) => magnitude(curve.derivative(t))
  const stops = [from, ...curve.breaks.filter((t) => t > from && t < to), to]
  let sum = 0
  for (let i = 1; i < stops.length; i++) sum += integrate(speed, stops[i - 1]!, stops[i]!)
  return sum
}
