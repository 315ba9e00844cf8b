import { colourAt, type Picture } from './picture'
import type { Vec } from '../geometry/vector'

/** A colour as an eye tells it from others: lightness 0 to 100, green to red, blue to yellow (CIE L*a*b*, white of D65). */
export type Lab = readonly [light: number, red: number, yellow: number]

/** sRGB to linear light (IEC 61966-2-1), for each of 256 steps. */
const LINEAR = Float64Array.from({ length: 256 }, (_, i) => {
  const value = i / 255
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4
})

function linear(value: number): number {
  const i = Math.min(254, Math.floor(value))
  return LINEAR[i]! + (LINEAR[i + 1]! - LINEAR[i]!) * (value - i)
}

const root = (t: number): number => (t > 216 / 24389 ? Math.cbrt(t) : (t * 24389) / 27 / 116 + 16 / 116)

/** Red, green and blue, 0 to 255, as a colour. */
export function labOf(red: number, green: number, blue: number): Lab {
  const [r, g, b] = [linear(red), linear(green), linear(blue)]
  const x = root((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047)
  const y = root(0.2126729 * r + 0.7151522 * g + 0.072175 * b)
  const z = root((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883)
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)]
}

/** The colour of a place in a picture, between its pixels. */
export const labAt = (picture: Picture, [u, v]: Vec): Lab =>
  labOf(colourAt(picture, u, v, 0), colourAt(picture, u, v, 1), colourAt(picture, u, v, 2))

/** Cells of a colour space: along lightness, and along both others. */
const LIGHTS = 26
const TINTS = 32
const CELLS = LIGHTS * TINTS * TINTS

const cellOf = ([light, red, yellow]: Lab): number => {
  const i = Math.min(LIGHTS - 1, Math.max(0, Math.floor(light / 4)))
  const j = Math.min(TINTS - 1, Math.max(0, Math.floor(red / 4 + TINTS / 2)))
  const k = Math.min(TINTS - 1, Math.max(0, Math.floor(yellow / 4 + TINTS / 2)))
  return (i * TINTS + j) * TINTS + k
}

/** How often each colour is met, smoothed over its neighbours, so that a few thousand samples say something of all colours. */
export class Colours {
  private readonly often = new Float32Array(CELLS)

  /** @param samples any number of colours, 1 or more */
  constructor(samples: readonly Lab[]) {
    for (const sample of samples) this.often[cellOf(sample)]! += 1 / Math.max(1, samples.length)
    for (const [step, along, cells] of [
      [1, 1, TINTS],
      [TINTS, TINTS, TINTS],
      [TINTS * TINTS, TINTS * TINTS, LIGHTS],
    ] as const)
      for (let round = 0; round < 2; round++) this.spread(step, along, cells)
  }

  /** How likely a colour is; never nothing, nobody has seen all of a foot. */
  of(colour: Lab): number {
    return this.often[cellOf(colour)]! + 1e-5
  }

  /** One direction smoothed: a quarter to each neighbour. */
  private spread(step: number, along: number, cells: number): void {
    const before = this.often.slice()
    for (let i = 0; i < CELLS; i++) {
      const at = Math.floor(i / along) % cells
      const low = at > 0 ? before[i - step]! : before[i]!
      const high = at < cells - 1 ? before[i + step]! : before[i]!
      this.often[i] = 0.25 * low + 0.5 * before[i]! + 0.25 * high
    }
  }
}
