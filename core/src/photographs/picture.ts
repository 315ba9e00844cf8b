import type { Vec } from '../geometry/vector'

/** A picture as it is seen, upright: four bytes a pixel (red, green, blue, how opaque), row by row from its top left. */
export interface Picture {
  width: number
  height: number
  data: Uint8ClampedArray | Uint8Array
}

/** More pixels than these are no photograph of a foot, and would fill the memory of a phone. */
export const MOST_PIXELS = 40_000_000

/** How light each pixel is, 0 to 255, as an eye weighs its colours (ITU-R BT.601). */
export interface Grey {
  width: number
  height: number
  data: Float32Array
}

/** A picture as grey. */
export function greyOf({ width, height, data }: Picture): Grey {
  const grey = new Float32Array(width * height)
  for (let i = 0, at = 0; i < grey.length; i++, at += 4)
    grey[i] = 0.299 * data[at]! + 0.587 * data[at + 1]! + 0.114 * data[at + 2]!
  return { width, height, data: grey }
}

/** How light a place between pixels is; beyond the edge it is as at the edge. Pixels are counted by their middles. */
export function lightAt({ width, height, data }: Grey, x: number, y: number): number {
  const left = Math.min(width - 2, Math.max(0, Math.floor(x)))
  const top = Math.min(height - 2, Math.max(0, Math.floor(y)))
  const across = Math.min(1, Math.max(0, x - left))
  const down = Math.min(1, Math.max(0, y - top))
  const at = top * width + left
  const high = data[at]! + (data[at + 1]! - data[at]!) * across
  const low = data[at + width]! + (data[at + width + 1]! - data[at + width]!) * across
  return high + (low - high) * down
}

/** One of its three colours between pixels: 0 red, 1 green, 2 blue. */
export function colourAt({ width, height, data }: Picture, x: number, y: number, colour: 0 | 1 | 2): number {
  const left = Math.min(width - 2, Math.max(0, Math.floor(x)))
  const top = Math.min(height - 2, Math.max(0, Math.floor(y)))
  const across = Math.min(1, Math.max(0, x - left))
  const down = Math.min(1, Math.max(0, y - top))
  const at = (top * width + left) * 4 + colour
  const high = data[at]! + (data[at + 4]! - data[at]!) * across
  const below = at + width * 4
  const low = data[below]! + (data[below + 4]! - data[below]!) * across
  return high + (low - high) * down
}

/** A picture made smaller by a whole number: each pixel is the mean of a square of them. */
export function smaller({ width, height, data }: Picture, by: number): Picture {
  const [wide, high] = [Math.floor(width / by), Math.floor(height / by)]
  const small = new Uint8ClampedArray(wide * high * 4)
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) {
      let [red, green, blue] = [0, 0, 0]
      for (let j = 0; j < by; j++) {
        let at = ((y * by + j) * width + x * by) * 4
        for (let i = 0; i < by; i++, at += 4) {
          red += data[at]!
          green += data[at + 1]!
          blue += data[at + 2]!
        }
      }
      const to = (y * wide + x) * 4
      small[to] = red / (by * by)
      small[to + 1] = green / (by * by)
      small[to + 2] = blue / (by * by)
      small[to + 3] = 255
    }
  return { width: wide, height: high, data: small }
}

/** A place in the smaller picture as one in the full picture. */
export const inFull = ([x, y]: Vec, by: number): Vec => [(x + 0.5) * by - 0.5, (y + 0.5) * by - 0.5]
