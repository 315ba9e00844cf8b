// Whoever compiles this file needs the shapes of a package that has none; the screens do so by another list of files.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./decoders.d.ts" />
import { Decoder } from 'jpeg-lossless-decoder-js'

/** How a packed picture is packed. */
export type Packing = 'jpeg-lossless' | 'jpeg-ls' | 'jpeg-2000' | 'jpeg'

/** What a packed picture is told of and comes to. */
export interface Unpacked {
  width: number
  height: number
  bits: number
  signed: boolean
  /** Colours to a pixel: 1, or 3. */
  colours: number
  bytes: Uint8Array
}

/** Where the wasm of a decoder lies, by its file name; beside the module where nobody says. */
export type Locate = ((file: string) => string) | undefined

/** What the wasm decoders are like. */
interface WasmDecoder {
  getEncodedBuffer: (length: number) => Uint8Array
  decode: () => void
  getDecodedBuffer: () => Uint8Array
  getFrameInfo: () => {
    width: number
    height: number
    /** Not said where it is 8. */
    bitsPerSample?: number
    isSigned?: boolean
    componentCount: number
  }
  delete: () => void
}
interface WasmModule {
  JpegLSDecoder?: new () => WasmDecoder
  J2KDecoder?: new () => WasmDecoder
  JPEGDecoder?: new () => WasmDecoder
}
interface Made {
  (options: {
    locateFile?: (file: string) => string
    print: (text: string) => void
    printErr: (text: string) => void
  }): Promise<WasmModule>
}
/** Decoders talk while they work; what is wrong comes as an error. */
const SILENT = { print: () => undefined, printErr: () => undefined }

/**
 * Unpacks one frame. Each decoder is fetched when the first picture needs it.
 *
 * @throws Error of the decoder for what is damaged; {@link readDicom} says it in words
 */
export async function unpacked(packing: Packing, packed: Uint8Array, locate?: Locate): Promise<Unpacked> {
  // A decoder that gets no more fills the rest with whatever it likes.
  if (!endsWhole(packed)) throw new Error('cut off')
  if (packing === 'jpeg-lossless') return lossless(packed)
  const module = await fetched(packing, locate)
  const decoder = new (module.JpegLSDecoder ?? module.J2KDecoder ?? module.JPEGDecoder)!()
  try {
    decoder.getEncodedBuffer(packed.length).set(packed)
    decoder.decode()
    const { width, height, bitsPerSample = 8, isSigned = false, componentCount } = decoder.getFrameInfo()
    return {
      ...{ width, height, bits: bitsPerSample, signed: isSigned, colours: componentCount },
      // A copy, and of the plain kind, whichever kind of bytes a decoder answers.
      bytes: Uint8Array.from(decoder.getDecodedBuffer()),
    }
  } catch (error) {
    // A decoder that fell over in itself is not asked again; one that said no is.
    if ((error as Error).name === 'RuntimeError') KEPT.delete(packing)
    throw error
  } finally {
    if (KEPT.has(packing)) decoder.delete()
  }
}

/** Decoders that were fetched. */
const KEPT = new Map<Packing, Promise<WasmModule>>()

const MODULES = {
  'jpeg-ls': () => import('@cornerstonejs/codec-charls/decodewasmjs'),
  'jpeg-2000': () => import('@cornerstonejs/codec-openjpeg/decodewasmjs'),
  jpeg: () => import('@cornerstonejs/codec-libjpeg-turbo-8bit/decodewasmjs'),
} as const

function fetched(packing: keyof typeof MODULES, locate: Locate): Promise<WasmModule> {
  const kept = KEPT.get(packing)
  if (kept) return kept
  const fetching = MODULES[packing]().then((made) =>
    (made as unknown as { default: Made }).default({ ...SILENT, ...(locate && { locateFile: locate }) }),
  )
  KEPT.set(packing, fetching)
  return fetching
}

function lossless(packed: Uint8Array): Unpacked {
  const decoder = new Decoder()
  const whole = packed.slice()
  const bytes = new Uint8Array(decoder.decompress(whole.buffer, 0, whole.length))
  const { frame, yLoc, stream } = decoder
  // It answers a whole picture, however little of it there was.
  if (yLoc < frame.dimY || stream.index > whole.length) throw new Error('cut off')
  return {
    ...{ width: frame.dimX, height: frame.dimY, bits: frame.precision },
    ...{ signed: false, colours: frame.numComp, bytes },
  }
}

/** Every packed stream but one of runs ends with two bytes of its own; a byte of nothing may follow (ISO/IEC 10918-1 B.1.1.3). */
function endsWhole(packed: Uint8Array): boolean {
  let end = packed.length
  while (end > 0 && packed[end - 1] === 0) end--
  return end > 2 && packed[end - 2] === 0xff && packed[end - 1] === 0xd9
}
