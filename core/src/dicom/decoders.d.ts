declare module 'jpeg-lossless-decoder-js' {
  export class Decoder {
    decompress(buffer: ArrayBufferLike, offset?: number, length?: number): ArrayBuffer
    /** Of what was unpacked last. */
    frame: { dimX: number; dimY: number; precision: number; numComp: number }
    /** The row it came to, and the byte. */
    yLoc: number
    stream: { index: number }
  }
}
declare module '@cornerstonejs/codec-charls/decodewasmjs' {
  const made: (options: { locateFile?: (file: string) => string }) => Promise<unknown>
  export default made
}
declare module '@cornerstonejs/codec-openjpeg/decodewasmjs' {
  const made: (options: { locateFile?: (file: string) => string }) => Promise<unknown>
  export default made
}
declare module '@cornerstonejs/codec-libjpeg-turbo-8bit/decodewasmjs' {
  const made: (options: { locateFile?: (file: string) => string }) => Promise<unknown>
  export default made
}
