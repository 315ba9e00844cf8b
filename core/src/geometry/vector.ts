/** A point or a direction in the plane, in millimetres. */
export type Vec = readonly [x: number, y: number]

export const add = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1]]
export const subtract = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1]]
export const scale = (a: Vec, factor: number): Vec => [a[0] * factor, a[1] * factor]
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1]
/** z of the cross product: positive when b lies to the left of a. */
export const cross = (a: Vec, b: Vec): number => a[0] * b[1] - a[1] * b[0]
/** Square root of squares, not Math.hypot: several times quicker, and no length here is near overflow. */
export const magnitude = (a: Vec): number => Math.sqrt(a[0] * a[0] + a[1] * a[1])
export const distance = (a: Vec, b: Vec): number => magnitude(subtract(a, b))
export const mix = (a: Vec, b: Vec, share: number): Vec => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
]
/** The direction of a, of length 1. A zero vector stays zero. */
export const unit = (a: Vec): Vec => {
  const length = magnitude(a)
  return length === 0 ? [0, 0] : [a[0] / length, a[1] / length]
}
/** Turned a quarter to the right: the outward side of a curve that runs counter-clockwise. */
export const turnRight = (a: Vec): Vec => [a[1], -a[0]]
/** a moved by `amount` along `direction`. */
export const along = (a: Vec, direction: Vec, amount: number): Vec => [
  a[0] + direction[0] * amount,
  a[1] + direction[1] * amount,
]
/** a turned about the origin by radians, to the left for positive. */
export const rotated = ([x, y]: Vec, by: number): Vec => [
  x * Math.cos(by) - y * Math.sin(by),
  x * Math.sin(by) + y * Math.cos(by),
]

/**
 * The angle whose sine and cosine stand as these two, radians. Between neighbouring points of a curve it is small, and
 * five terms of the series are exact to 1e-13 there; anything else goes the long way.
 */
export function angleOf(sine: number, cosine: number): number {
  const t = sine / cosine
  if (!(cosine > 0 && t < 0.1 && t > -0.1)) return Math.atan2(sine, cosine)
  const u = t * t
  return t * (1 - u * (1 / 3 - u * (1 / 5 - u * (1 / 7 - u * (1 / 9 - u * (1 / 11 - u / 13))))))
}
