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

/** The colour of a place in a picture, between its pixels, or between squares of so many of them across. */
export function labAt(picture: Picture, [u, v]: Vec, by = 1): Lab {
  const [red, green, blue] = colourAt(picture, (u + 0.5) / by - 0.5, (v + 0.5) / by - 0.5, by)
  return labOf(red, green, blue)
}

/** Cells of a colour space: along lightness, and along both others; how far a step along each leads. */
const CELLS = [26, 32, 32] as const
const STEPS = [CELLS[1] * CELLS[2], CELLS[2], 1] as const

/** In which cell a colour lies, along one of the three. */
const cellOf = (colour: Lab, axis: 0 | 1 | 2): number =>
  Math.min(CELLS[axis] - 1, Math.max(0, Math.floor(colour[axis] / 4 + (axis === 0 ? 0 : CELLS[axis] / 2))))
const placeOf = (colour: Lab): number =>
  cellOf(colour, 0) * STEPS[0] + cellOf(colour, 1) * STEPS[1] + cellOf(colour, 2)

/** Each sample says something of so many cells to both sides. */
const SPREADS = 2

/** How often each colour is met, smoothed over its neighbours, so that a few thousand samples say something of all colours. */
export class Colours {
  private readonly often = new Float32Array(CELLS[0] * CELLS[1] * CELLS[2])
  /** Between which cells samples say anything, along each of the three: most colours are never met. */
  private readonly from: number[] = [...CELLS]
  private readonly to: number[] = [-1, -1, -1]

  /** @param samples any number of colours, 1 or more */
  constructor(samples: readonly Lab[]) {
    for (const sample of samples) {
      this.often[placeOf(sample)]! += 1 / Math.max(1, samples.length)
      for (const axis of [0, 1, 2] as const) {
        const cell = cellOf(sample, axis)
        this.from[axis] = Math.max(0, Math.min(this.from[axis]!, cell - SPREADS))
        this.to[axis] = Math.min(CELLS[axis] - 1, Math.max(this.to[axis]!, cell + SPREADS))
      }
    }
    for (const axis of [2, 1, 0] as const) for (let round = 0; round < SPREADS; round++) this.spread(axis)
  }

  /** How likely a colour is; never nothing, nobody has seen all of a foot. */
  of(colour: Lab): number {
    return this.often[placeOf(colour)]! + 1e-5
  }

  /** One of the three smoothed: a quarter to each neighbour; at the ends of all colours a cell is its own. */
  private spread(axis: 0 | 1 | 2): void {
    const { often, from, to } = this
    const [b, c] = ([0, 1, 2] as const).filter((each) => each !== axis) as [0 | 1 | 2, 0 | 1 | 2]
    const step = STEPS[axis]
    const [starts, ends] = [from[axis]! > 0, to[axis]! < CELLS[axis] - 1]
    for (let u = from[b]!; u <= to[b]!; u++)
      for (let v = from[c]!; v <= to[c]!; v++) {
        const line = u * STEPS[b] + v * STEPS[c]
        const last = line + to[axis]! * step
        let here = often[line + from[axis]! * step]!
        let low = starts ? 0 : here
        for (let at = line + from[axis]! * step; at <= last; at += step) {
          const high = at < last ? often[at + step]! : ends ? 0 : here
          often[at] = 0.25 * low + 0.5 * here + 0.25 * high
          low = here
          here = high
        }
      }
  }
}
