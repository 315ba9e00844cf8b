import type { Vec } from '../geometry/vector'
import type { Picture } from '../photographs/picture'
import type { Camera } from './camera'
import { draws } from './drawn'
import type { Layer } from './layers'

/** A light from one side and a vignette: how bright a pixel is, times. */
export function lightOver(draw: () => number, { width, height }: Camera): (u: number, v: number) => number {
  const [way, steep, bright] = [draw() * 2 * Math.PI, 0.15 + draw() * 0.3, 0.85 + draw() * 0.2]
  const half = Math.hypot(width, height) / 2
  return (u, v) => {
    const [x, y] = [(u - width / 2) / half, (v - height / 2) / half]
    return bright * (1 + steep * (x * Math.cos(way) + y * Math.sin(way))) * (1 - 0.18 * (x * x + y * y))
  }
}

/** What lies before a camera, and what the camera itself brings. */
export interface Scene {
  below: Layer
  above: Layer
  height: number
  light: (u: number, v: number) => number
  /** Pixels by which the lens is soft, and how much its grains differ. */
  soft: number
  noise: number
  seed: number
}

/** What a camera sees of a scene: each pixel from its own ray, through a soft lens, with its noise. */
export function taken(camera: Camera, { below, above, height, light, soft, noise, seed }: Scene): Picture {
  const { width, height: high } = camera
  const draw = draws(seed + 5)
  const raw = new Float32Array(width * high * 3)
  const [under, over] = [new Float32Array(4), new Float32Array(4)]
  for (let v = 0, i = 0; v < high; v++)
    for (let u = 0; u < width; u++, i += 3) {
      const place = camera.placeAt([u, v], 0)
      sampled(below, onGround(below, place), under)
      sampled(above, height === 0 ? place : camera.placeAt([u, v], height), over)
      const [share, bright] = [over[3]!, light(u, v)]
      // Colours of the layer are weighed by how much there is of it.
      for (let k = 0; k < 3; k++) raw[i + k] = (over[k]! + under[k]! * (1 - share)) * bright
    }
  softened(raw, width, high, soft)
  const data = new Uint8ClampedArray(width * high * 4)
  for (let i = 0, j = 0; j < data.length; i += 3, j += 4) {
    const off = (draw() + draw() - 1) * 3 * noise
    data[j] = raw[i]! + off
    data[j + 1] = raw[i + 1]! + off
    data[j + 2] = raw[i + 2]! + off
    data[j + 3] = 255
  }
  return { width, height: high, data }
}

/** The ground goes on: beyond its edge as in a mirror. */
function onGround({ left, bottom, wide, high, grains }: Layer, [x, y]: Vec): Vec {
  const within = (value: number, from: number, long: number): number => {
    const over = (((value - from) % (2 * long)) + 2 * long) % (2 * long)
    return from + (over > long ? 2 * long - over : over)
  }
  return [
    within(x, left + 1 / grains, wide / grains - 3 / grains),
    within(y, bottom + 1 / grains, high / grains - 3 / grains),
  ]
}

/** What a layer has at a place, between its grains; nothing beyond it. Colours come weighed by their share. */
function sampled({ left, bottom, wide, high, grains, data }: Layer, [x, y]: Vec, into: Float32Array): void {
  const [u, v] = [(x - left) * grains - 0.5, (y - bottom) * grains - 0.5]
  const [k, j] = [Math.floor(u), Math.floor(v)]
  into[0] = into[1] = into[2] = into[3] = 0
  if (k < 0 || j < 0 || k + 1 >= wide || j + 1 >= high) return
  const [s, t] = [u - k, v - j]
  const at = (j * wide + k) * 4
  const above = at + wide * 4
  const one = (1 - s) * (1 - t) * data[at + 3]!
  const two = s * (1 - t) * data[at + 7]!
  const three = (1 - s) * t * data[above + 3]!
  const four = s * t * data[above + 7]!
  into[3] = one + two + three + four
  if (into[3] === 0) return
  for (let c = 0; c < 3; c++)
    into[c] =
      one * data[at + c]! + two * data[at + 4 + c]! + three * data[above + c]! + four * data[above + 4 + c]!
}

/** So many columns are softened at once: what is read together lies together. */
const STRIPE = 384

/** A soft lens: each colour spread over its neighbours along a row, then along a column. */
function softened(raw: Float32Array, width: number, high: number, soft: number): void {
  const reach = Math.ceil(soft * 2.5)
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * soft * soft)),
  )
  const sum = kernel.reduce((a, b) => a + b)
  const weights = Float32Array.from(kernel, (value) => value / sum)
  const row = width * 3
  const line = new Float32Array(row)
  const sums = new Float64Array(Math.max(row, STRIPE))
  for (let from = 0; from < raw.length; from += row) {
    line.set(raw.subarray(from, from + row))
    spread(weights, line, 0, 3, sums.subarray(0, row - 2 * reach * 3))
    raw.set(sums.subarray(0, row - 2 * reach * 3), from + reach * 3)
  }
  const before = new Float32Array(STRIPE * high)
  for (let left = 0; left < row; left += STRIPE) {
    const wide = Math.min(STRIPE, row - left)
    for (let v = 0; v < high; v++) before.set(raw.subarray(v * row + left, v * row + left + wide), v * STRIPE)
    for (let v = reach; v < high - reach; v++) {
      spread(weights, before, (v - reach) * STRIPE, STRIPE, sums.subarray(0, wide))
      raw.set(sums.subarray(0, wide), v * row + left)
    }
  }
}

/** Weighs values `step` apart, from `from` on, for each of `sums`: one weight after the other, for a plain run over a list. */
function spread(
  weights: Float32Array,
  values: Float32Array,
  from: number,
  step: number,
  sums: Float64Array,
): void {
  sums.fill(0)
  for (let k = 0; k < weights.length; k++) {
    const [weight, at] = [weights[k]!, from + k * step]
    for (let i = 0; i < sums.length; i++) sums[i]! += weight * values[at + i]!
  }
}
