declare module 'js-aruco2' {
  /** A coded mark as it was found: its corners in pixels, clockwise from its own top left. */
  interface Marker {
    id: number
    corners: { x: number; y: number }[]
    hammingDistance: number
  }
  const aruco: {
    AR: {
      Detector: new (config: { dictionaryName: string; maxHammingDistance?: number }) => {
        detectImage: (width: number, height: number, data: Uint8ClampedArray | Uint8Array) => Marker[]
      }
      Dictionary: new (name: string) => { codeList: string[]; markSize: number }
    }
  }
  export default aruco
}
