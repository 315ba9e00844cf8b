import type { Packing } from './codecs'

/** How wide and how high a packed picture says it is; nothing where it does not say it. */
export function packedSize(
  packing: Packing,
  bytes: Uint8Array,
): { width: number; height: number } | undefined {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  return packing === 'jpeg-2000' ? siz(view) : frameHead(view)
}

/** Start of a frame: plain, progressive, lossless, and of JPEG-LS (ISO/IEC 10918-1 B.2.2, 14495-1 C.2.2). */
const FRAMES = [0xffc0, 0xffc1, 0xffc2, 0xffc3, 0xfff7]

function frameHead(view: DataView): { width: number; height: number } | undefined {
  // Marker segments one after the other, each with its length, up to the scan.
  for (let at = 2; at + 9 < view.byteLength;) {
    const marker = view.getUint16(at)
    if (FRAMES.includes(marker)) return { height: view.getUint16(at + 5), width: view.getUint16(at + 7) }
    if (marker >> 8 !== 0xff || marker === 0xffda) return undefined
    at += 2 + Math.max(2, view.getUint16(at + 2))
  }
  return undefined
}

/** The size marker stands first in a JPEG 2000 stream (ISO/IEC 15444-1 A.5.1). */
function siz(view: DataView): { width: number; height: number } | undefined {
  if (view.byteLength < 24 || view.getUint32(0) !== 0xff4fff51) return undefined
  const of = (at: number) => view.getUint32(at)
  return { width: of(8) - of(16), height: of(12) - of(20) }
}
