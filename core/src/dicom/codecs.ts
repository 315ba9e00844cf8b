// Whoever compiles this file needs the shapes of a package that has none; the screens do so by another list of files.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./decoders.d.ts" />
import { Decoder } from 'jpeg-lossless-decoder-js'

/** How a packed picture is packed. */
export type Packing = 'jpeg-lossless' | 'jpeg-ls' | 'jpeg-2000'

/** What a packed picture is told of and comes to. */
export interface Unpacked {
  width: number
  height: number
  bits: number
  signed: boolean
  bytes: Uint8Array
}

/** Where the wasm of a decoder lies, by its file name; beside the module where nobody says. */
export type Locate = ((file: string) => string) | undefined

/** What both wasm decoders are like. */
interface WasmDecoder {
  getEncodedBuffer: (length: number) => Uint8Array
  decode: () => void
  getDecodedBuffer: () => Uint8Array
  getFrameInfo: () => {
    width: number
    height: number
    bitsPerSample: number
    isSigned?: boolean
    componentCount: number
  }
  delete: () => void
}
interface WasmModule {
  JpegLSDecoder?: new () => WasmDecoder
  J2KDecoder?: new () => WasmDecoder
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
 * Unpacks one grey frame. Each decoder is fetched when the first picture needs it.
 *
 * @throws Error of the decoder for what is damaged; {@link readDicom} says it in words
 */
export async function unpacked(packing: Packing, packed: Uint8Array, locate?: Locate): Promise<Unpacked> {
  if (packing === 'jpeg-lossless') return lossless(packed)
  const module = await fetched(packing, locate)
  const decoder = new (module.JpegLSDecoder ?? module.J2KDecoder)!()
  try {
    decoder.getEncodedBuffer(packed.length).set(packed)
    decoder.decode()
    const { width, height, bitsPerSample, isSigned, componentCount } = decoder.getFrameInfo()
    if (componentCount !== 1) throw new Error('coloured')
    return {
      ...{ width, height, bits: bitsPerSample, signed: isSigned ?? false },
      bytes: decoder.getDecodedBuffer().slice(),
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

function fetched(packing: 'jpeg-ls' | 'jpeg-2000', locate: Locate): Promise<WasmModule> {
  const kept = KEPT.get(packing)
  if (kept) return kept
  const fetching = (
    packing === 'jpeg-ls'
      ? import('@cornerstonejs/codec-charls/decodewasmjs')
      : import('@cornerstonejs/codec-openjpeg/decodewasmjs')
  ).then((made) =>
    (made as unknown as { default: Made }).default({ ...SILENT, ...(locate && { locateFile: locate }) }),
  )
  KEPT.set(packing, fetching)
  return fetching
}

function lossless(packed: Uint8Array): Unpacked {
  const decoder = new Decoder()
  const whole = packed.slice()
  const bytes = new Uint8Array(decoder.decompress(whole.buffer, 0, whole.length))
  const { frame } = decoder
  return { width: frame.dimX, height: frame.dimY, bits: frame.precision, signed: false, bytes }
}
