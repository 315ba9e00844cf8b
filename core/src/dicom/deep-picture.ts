/** Values of pixels; as they lie in their file where nothing has to be worked out. */
export type Depths = Float32Array | Uint16Array | Uint8Array

/** A grey picture as deep as its detector saw it, row by row from its top left, after slope and intercept. */
export interface DeepPicture {
  width: number
  height: number
  data: Depths
}

/** What of a picture is seen: the value in the middle of the greys, and how far it is from black to white. */
export interface Window {
  centre: number
  width: number
}

/** The least and the greatest of all values. */
function extremes(data: Depths): [least: number, most: number] {
  // Begun with a value of its own kind: whole numbers are compared as such, in half the time.
  let least = data[0] ?? Infinity
  let most = data[0] ?? -Infinity
  for (let i = 1; i < data.length; i++) {
    const value = data[i]!
    if (value < least) least = value
    else if (value > most) most = value
  }
  return [least, most]
}

/** Of more pixels than these only every so many-th is looked at for what a plate mostly shows. */
const ENOUGH = 400_000

/** How a picture may be seen: every value from the darkest to the lightest, and all but the last hundredth at each end. */
export function windowsOf({ data }: DeepPicture): { whole: Window; usual: Window } {
  const [least, most] = extremes(data)
  const cells = new Uint32Array(1024)
  const step = (most - least) / 1023 || 1
  const share = 1 / step
  const stride = Math.max(1, Math.floor(data.length / ENOUGH))
  let all = 0
  for (let i = 0; i < data.length; i += stride, all++) cells[((data[i]! - least) * share + 0.5) | 0]!++
  const edge = (part: number): number => {
    let sum = 0
    for (let i = 0; i < cells.length; i++) {
      sum += cells[i]!
      if (sum >= part * all) return least + i * step
    }
    return most
  }
  return { whole: between(least, most), usual: between(edge(0.01), edge(0.99)) }
}

const between = (low: number, high: number): Window => ({
  centre: (low + high) / 2,
  width: Math.max(1, high - low),
})

/**
 * A picture as it is shown: four bytes a pixel. Values below and above the window are black and white; between them linear
 * (DICOM PS3.3 C.11.2.1.2, without its half steps, which no eye sees).
 *
 * @param inverted as where the lowest values are white
 */
export function greyShown(
  { width, height, data }: DeepPicture,
  { centre, width: wide }: Window,
  inverted: boolean,
): Uint8ClampedArray {
  const shown = new Uint8ClampedArray(width * height * 4)
  const words = new Uint32Array(shown.buffer)
  const from = centre - wide / 2
  const by = 255 / wide
  const seen = (depth: number): number => {
    const value = (depth - from) * by
    const grey = value <= 0 ? 0 : value >= 255 ? 255 : value | 0
    const light = inverted ? 255 - grey : grey
    return 0xff000000 | (light << 16) | (light << 8) | light
  }
  if (data instanceof Float32Array) {
    for (let i = 0; i < words.length; i++) words[i] = seen(data[i]!)
    return shown
  }
  // Whole numbers: each is worked out once, and there are fewer of them than pixels.
  const table = new Uint32Array(data instanceof Uint8Array ? 0x100 : 0x10000)
  for (let depth = 0; depth < table.length; depth++) table[depth] = seen(depth)
  for (let i = 0; i < words.length; i++) words[i] = table[data[i]!]!
  return shown
}
