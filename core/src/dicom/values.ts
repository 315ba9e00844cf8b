import type { DeepPicture, Depths } from './deep-picture'

/** How values are written in their bytes. */
export interface ValueForm {
  width: number
  height: number
  /** Bits each value takes up, bits that are its own, and the highest of those, counted from 0. */
  allocated: 8 | 16
  stored: number
  high: number
  signed: boolean
  bigEndian: boolean
}

/** What values are turned into: by a line, or by a table from its first value on. */
export type Modality = { slope: number; intercept: number } | { from: number; table: readonly number[] }

/**
 * A grey picture out of its bytes: the bits that are its own, after whatever its file wants them turned into.
 *
 * @returns undefined where bytes are missing
 */
export function pictureOf(bytes: Uint8Array, form: ValueForm, modality: Modality): DeepPicture | undefined {
  const { width, height, signed, stored, allocated, high } = form
  const count = width * height
  if (bytes.length < count * (allocated / 8)) return undefined
  const mask = 2 ** stored - 1
  const raw = allocated === 8 ? bytes.subarray(0, count) : words(bytes, count, form.bigEndian)
  const shift = high - stored + 1
  const asItIs = 'slope' in modality && modality.slope === 1 && modality.intercept === 0
  // Nothing to be worked out, and nothing to be cut off: the values stay where they are.
  if (!signed && shift === 0 && asItIs && keepTo(raw, mask)) return { width, height, data: raw }
  // What lies above it is less than nothing, in two's complement.
  const top = signed ? mask >> 1 : mask
  const turned = turning(modality)
  const data = new Float32Array(count)
  for (let i = 0; i < count; i++) {
    const kept = (raw[i]! >> shift) & mask
    data[i] = turned(kept > top ? kept - mask - 1 : kept)
  }
  return { width, height, data }
}

function turning(modality: Modality): (value: number) => number {
  if ('slope' in modality) return (value) => value * modality.slope + modality.intercept
  const { from, table } = modality
  const last = table.length - 1
  return (value) => table[Math.min(last, Math.max(0, value - from))]!
}

/** Whether no value has a bit that the mask, of 8 bits or more, has not. */
function keepTo(raw: Depths, mask: number): boolean {
  if (!(raw instanceof Uint16Array) || mask === 0xffff) return true
  // Two at once, as whole numbers: there are millions of them. Those that do not begin where such a number may come singly.
  const single = raw.byteOffset % 4 === 0 ? 0 : 1
  const pairs = new Int32Array(raw.buffer, raw.byteOffset + 2 * single, (raw.length - single) >> 1)
  let bits = (raw[0] ?? 0) | (raw[raw.length - 1] ?? 0)
  for (let i = 0; i < pairs.length; i++) bits |= pairs[i]!
  return ((bits | (bits >>> 16)) & 0xffff & ~mask) === 0
}

/** Two bytes a value, as nearly every machine keeps them: the lower first. */
function words(bytes: Uint8Array, count: number, bigEndian: boolean): Uint16Array {
  if (bigEndian === LOW_FIRST) {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
    return Uint16Array.from({ length: count }, (_, i) => view.getUint16(i * 2, !bigEndian))
  }
  // A value must begin at an even byte of its memory.
  return bytes.byteOffset % 2 === 0
    ? new Uint16Array(bytes.buffer, bytes.byteOffset, count)
    : new Uint16Array(bytes.slice(0, count * 2).buffer)
}
const LOW_FIRST = new Uint8Array(Uint16Array.of(1).buffer)[0] === 1

/** Colours may be off by so much where a grey picture was stored as a coloured one and packed with loss. */
const GREY = 6

/**
 * The one value of each pixel that is stored as three colours.
 *
 * @param planar all of the first colour stand before all of the second
 * @returns undefined where bytes are missing; 'coloured' where the three are not alike
 */
export function greyOfColours(
  bytes: Uint8Array,
  count: number,
  planar: boolean,
): Uint8Array | 'coloured' | undefined {
  if (bytes.length < count * 3) return undefined
  const [next, step] = planar ? [count, 1] : [1, 3]
  const grey = new Uint8Array(count)
  for (let i = 0, at = 0; i < count; i++, at += step) {
    const [red, green, blue] = [bytes[at]!, bytes[at + next]!, bytes[at + 2 * next]!]
    if (Math.abs(red - green) > GREY || Math.abs(green - blue) > GREY) return 'coloured'
    grey[i] = green
  }
  return grey
}
