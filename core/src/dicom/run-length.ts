/** Sixteen numbers stand before the bytes: how many planes there are, and where each begins (DICOM PS3.5 annex G). */
const HEAD = 64

/**
 * Unpacks a frame of runs: each byte of a value is a plane by itself, the higher ones first.
 *
 * @param count pixels
 * @param each bytes to a pixel; of a coloured one those of all its colours
 * @returns value by value, the lower byte of each first; undefined where bytes are missing
 */
export function unrolled(packed: Uint8Array, count: number, each: number): Uint8Array | undefined {
  if (packed.length < HEAD) return undefined
  const view = new DataView(packed.buffer, packed.byteOffset, packed.byteLength)
  if (view.getUint32(0, true) !== each) return undefined
  const bytes = new Uint8Array(count * each)
  for (let plane = 0; plane < each; plane++) {
    const from = view.getUint32(4 + 4 * plane, true)
    const to = plane + 1 < each ? view.getUint32(8 + 4 * plane, true) : packed.length
    if (from < HEAD || to > packed.length || from > to) return undefined
    if (!unrollPlane(packed.subarray(from, to), bytes, each - 1 - plane, each)) return undefined
  }
  return bytes
}

/** One plane: a number below 128 says how many bytes follow as they are, one above it how often the next is repeated. */
function unrollPlane(plane: Uint8Array, into: Uint8Array, first: number, step: number): boolean {
  let at = 0
  let to = first
  while (to < into.length) {
    const head = plane[at++]
    if (head === undefined) return false
    if (head === 128) continue
    const many = head < 128 ? head + 1 : 257 - head
    for (let i = 0; i < many && to < into.length; i++, to += step) {
      const value = plane[head < 128 ? at + i : at]
      if (value === undefined) return false
      into[to] = value
    }
    at += head < 128 ? many : 1
  }
  return true
}
