/** What a JPEG file says of itself before its picture begins. */
interface JpegHead {
  width: number
  height: number
  /** The file without what was written into it besides the picture: who took it, where, with what. */
  bare: Buffer
}

/** Segments that belong to the picture: its form (APP0), its colours (APP2, APP14), and everything that is no APP nor words. */
const KEPT_APPS = [0xe0, 0xe2, 0xee]
const START = 0xd8
const SCAN = 0xda
const WORDS = 0xfe
/** Frames; the three of this row that are none are tables. */
const isFrame = (marker: number): boolean =>
  marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)
const isBeside = (marker: number): boolean =>
  marker === WORDS || (marker >= 0xe0 && marker <= 0xef && !KEPT_APPS.includes(marker))

/**
 * Goes through the segments of a JPEG file (ITU T.81, annex B) up to its picture.
 *
 * @returns undefined where it is none, or breaks off before its picture begins
 */
export function readJpeg(file: Buffer): JpegHead | undefined {
  if (file[0] !== 0xff || file[1] !== START) return undefined
  const kept: Buffer[] = [file.subarray(0, 2)]
  let size: { width: number; height: number } | undefined
  let at = 2
  while (at + 4 <= file.length && file[at] === 0xff) {
    const marker = file[at + 1]!
    const end = at + 2 + file.readUInt16BE(at + 2)
    if (end > file.length) return undefined
    if (isFrame(marker) && end - at >= 9)
      size = { height: file.readUInt16BE(at + 5), width: file.readUInt16BE(at + 7) }
    if (marker === SCAN) return size && { ...size, bare: Buffer.concat([...kept, file.subarray(at)]) }
    if (!isBeside(marker)) kept.push(file.subarray(at, end))
    at = end
  }
  return undefined
}
