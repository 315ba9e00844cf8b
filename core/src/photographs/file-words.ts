import { MOST_PIXELS } from './picture'

/** Why a file is not taken as a photograph, in words: the same on the screen and by command. */
export const FILE_WORDS = {
  heic: 'This is an HEIC photograph, which is not read here: set the camera to “most compatible” (JPEG), or send it to yourself by mail, which makes a JPEG of it.',
  unread: (name: string): string =>
    `This is a picture of the kind ${name}, which is not read here: save it as JPEG or PNG, and take that one.`,
  other: 'This is no photograph: JPEG, PNG and WebP are read.',
  large: (pixels: number): string =>
    `The picture has ${Math.round(pixels / 1e6)} million pixels; at most ${MOST_PIXELS / 1e6} million are read. Make it smaller.`,
  damaged: 'The picture is damaged: it could not be read to its end. Send the file once more.',
} as const

/** Kinds of pictures that are not read, by how their files begin (ISO/IEC 23008-12 and AV1 image format; TIFF 6.0; GIF 89a; BMP). */
const UNREAD: readonly (readonly [name: string, begins: RegExp])[] = [
  ['AVIF', /^....ftyp(avif|avis)/s],
  ['TIFF', /^(II\*\0|MM\0\*)/],
  ['GIF', /^GIF8/],
  ['BMP', /^BM....\0\0\0\0/s],
]
const HEIC = /^....ftyp(heic|heix|hevc|heim|heis|mif1|msf1|heif)/s

/** What a picture is that is not read here, and what to do with it; nothing where it may be one that is. */
export function unreadPicture(head: Uint8Array): string | undefined {
  const begins = String.fromCharCode(...head.subarray(0, 16))
  if (HEIC.test(begins)) return FILE_WORDS.heic
  const name = UNREAD.find(([, pattern]) => pattern.test(begins))?.[0]
  return name && FILE_WORDS.unread(name)
}

/** The focal length as on 35 mm film, by its number among the tags of a camera (Exif 2.3). */
export const FOCAL_TAG = 0xa405

/** What a camera wrote of its lens, mm on 35 mm film; nothing where it wrote nothing that can be. */
export const focalSaid = (value: unknown): number | undefined =>
  typeof value === 'number' && value >= 8 && value <= 400 ? value : undefined
