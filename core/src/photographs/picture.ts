import type { Vec } from '../geometry/vector'

/** A picture as it is seen, upright: four bytes a pixel (red, green, blue, how opaque), row by row from its top left. */
export interface Picture {
  width: number
  height: number
  data: Uint8ClampedArray | Uint8Array
}

/** More pixels than these are no photograph of a foot, and would fill the memory of a phone. */
export const MOST_PIXELS = 40_000_000

/**
 * How light a place between pixels is, 0 to 255, as an eye weighs its colours (ITU-R BT.601); beyond the edge it is as at
 * the edge. Pixels are counted by their middles.
 */
export function lightAt({ width, height, data }: Picture, x: number, y: number): number {
  const left = Math.min(width - 2, Math.max(0, Math.floor(x)))
  const top = Math.min(height - 2, Math.max(0, Math.floor(y)))
  const across = Math.min(1, Math.max(0, x - left))
  const down = Math.min(1, Math.max(0, y - top))
  const at = (top * width + left) * 4
  const below = at + width * 4
  const high = lightOf(data, at) + (lightOf(data, at + 4) - lightOf(data, at)) * across
  const low = lightOf(data, below) + (lightOf(data, below + 4) - lightOf(data, below)) * across
  return high + (low - high) * down
}

const lightOf = (data: Picture['data'], at: number): number =>
  0.299 * data[at]! + 0.587 * data[at + 1]! + 0.114 * data[at + 2]!

/**
 * Red, green and blue of a place between squares of pixels, each square as its mean: looked at here and there, far quicker
 * than a picture made smaller.
 *
 * @param by pixels across a square; x and y are told in squares
 */
export function colourAt(
  { width, height, data }: Picture,
  x: number,
  y: number,
  by: number,
): [red: number, green: number, blue: number] {
  const left = Math.min(Math.floor(width / by) - 2, Math.max(0, Math.floor(x)))
  const top = Math.min(Math.floor(height / by) - 2, Math.max(0, Math.floor(y)))
  const across = Math.min(1, Math.max(0, x - left))
  const down = Math.min(1, Math.max(0, y - top))
  let red = 0
  let green = 0
  let blue = 0
  for (let v = 0; v < 2 * by; v++) {
    const tall = v < by ? 1 - down : down
    let at = ((top * by + v) * width + left * by) * 4
    for (let u = 0; u < 2 * by; u++, at += 4) {
      const part = tall * (u < by ? 1 - across : across)
      red += data[at]! * part
      green += data[at + 1]! * part
      blue += data[at + 2]! * part
    }
  }
  const share = 1 / (by * by)
  return [red * share, green * share, blue * share]
}

/** So many pixels in a line can be brought down to one, at most: the largest picture a browser unpacks is then some 4,000 wide. */
const MOST_SMALLER = 16
/** Every other of the four bytes of a pixel. */
const EVERY_OTHER = 0x00ff00ff

/**
 * A picture made smaller by a whole number: each pixel is the mean of a square of them.
 *
 * @param by 1 to 16
 * @throws RangeError where it is more
 */
export function smaller({ width, height, data }: Picture, by: number): Picture {
  if (by > MOST_SMALLER) throw new RangeError(`made smaller by ${by}`)
  const [wide, high] = [Math.floor(width / by), Math.floor(height / by)]
  const small = new Int32Array(wide * high)
  const pixels = asWords(data)
  // Two bytes of a pixel are added up at once: 256 of them fill no more than two bytes each.
  const mean = (sums: number): number =>
    ((sums & 0xffff) * share + 0.5) | 0 | ((((sums >>> 16) * share + 0.5) | 0) << 16)
  const share = 1 / (by * by)
  for (let y = 0, to = 0; y < high; y++)
    for (let x = 0; x < wide; x++, to++) {
      let even = 0
      let odd = 0
      for (let j = 0, line = y * by * width + x * by; j < by; j++, line += width)
        for (let at = line, end = line + by; at < end; at++) {
          const pixel = pixels[at]!
          even = (even + (pixel & EVERY_OTHER)) | 0
          odd = (odd + ((pixel >>> 8) & EVERY_OTHER)) | 0
        }
      small[to] = mean(even) | (mean(odd) << 8)
    }
  return { width: wide, height: high, data: new Uint8ClampedArray(small.buffer) }
}

/** Four bytes as one whole number, of the kind that is reckoned with quickest; copied where they do not begin where a number may. */
const asWords = (data: Picture['data']): Int32Array =>
  data.byteOffset % 4 === 0
    ? new Int32Array(data.buffer, data.byteOffset, data.length >> 2)
    : new Int32Array(data.slice().buffer)

/** A place in the smaller picture as one in the full picture. */
export const inFull = ([x, y]: Vec, by: number): Vec => [(x + 0.5) * by - 0.5, (y + 0.5) * by - 0.5]
