import charls from '@cornerstonejs/codec-charls/wasmjs'
import openjpeg from '@cornerstonejs/codec-openjpeg/wasmjs'

/** What of both encoders is used here. */
interface Encoder {
  getDecodedBuffer: (frame: Record<string, unknown>) => Uint8Array
  encode: () => void
  getEncodedBuffer: () => Uint8Array
  setQuality?: (lossless: boolean, rate: number) => void
  delete: () => void
}
type Made = () => Promise<Record<string, new () => Encoder>>

interface Grey {
  width: number
  height: number
  data: Uint16Array
}

/** For tests: a grey picture packed without loss, as its DICOM transfer syntax says. */
export async function packed(kind: 'jpeg-ls' | 'jpeg-2000' | 'jpeg-lossless', grey: Grey, bits = 14) {
  if (kind === 'jpeg-lossless') return { syntax: '1.2.840.10008.1.2.4.70', bytes: lossless(grey, bits) }
  const module = await (kind === 'jpeg-ls' ? (charls as Made)() : (openjpeg as Made)())
  const encoder = new module[kind === 'jpeg-ls' ? 'JpegLSEncoder' : 'J2KEncoder']!()
  const { width, height, data } = grey
  encoder
    .getDecodedBuffer({ width, height, bitsPerSample: bits, componentCount: 1, isSigned: false })
    .set(bits > 8 ? new Uint8Array(data.buffer) : Uint8Array.from(data))
  encoder.setQuality?.(true, 0)
  encoder.encode()
  const bytes = encoder.getEncodedBuffer().slice()
  encoder.delete()
  return { syntax: kind === 'jpeg-ls' ? '1.2.840.10008.1.2.4.80' : '1.2.840.10008.1.2.4.90', bytes }
}

/** JPEG lossless, process 14, each value by what it differs from the one to its left (ISO/IEC 10918-1 annex H). */
function lossless({ width, height, data }: Grey, bits: number): Uint8Array {
  const out: number[] = []
  const word = (value: number) => out.push(value >> 8, value & 255)
  out.push(0xff, 0xd8, 0xff, 0xc3)
  word(11)
  out.push(bits)
  word(height)
  word(width)
  out.push(1, 1, 0x11, 0)
  // Seventeen lengths of differences, each with five bits: a code that is never all ones.
  out.push(0xff, 0xc4)
  word(2 + 1 + 16 + 17)
  out.push(0, 0, 0, 0, 0, 17, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, ...Array.from({ length: 17 }, (_, i) => i))
  out.push(0xff, 0xda)
  word(8)
  out.push(1, 1, 0, 1, 0, 0)
  let [held, many] = [0, 0]
  const put = (value: number, length: number) => {
    for (let i = length - 1; i >= 0; i--) {
      held = (held << 1) | ((value >> i) & 1)
      if (++many < 8) continue
      out.push(held)
      if (held === 255) out.push(0)
      ;[held, many] = [0, 0]
    }
  }
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x
      const before = x > 0 ? data[i - 1]! : y > 0 ? data[i - width]! : 1 << (bits - 1)
      const off = data[i]! - before
      const length = off === 0 ? 0 : 32 - Math.clz32(Math.abs(off))
      put(length, 5)
      if (length > 0) put(off > 0 ? off : off + (1 << length) - 1, length)
    }
  if (many > 0) put(255, 8 - many)
  out.push(0xff, 0xd9)
  return Uint8Array.from(out)
}
