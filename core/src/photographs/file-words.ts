import { MOST_PIXELS } from './picture'

/** Why a file is not taken as a photograph, in words: the same on the screen and by command. */
export const FILE_WORDS = {
  heic: 'This is an HEIC photograph, which is not read here: set the camera to “most compatible” (JPEG), or send it to yourself by mail, which makes a JPEG of it.',
  other: 'This is no photograph: JPEG, PNG and WebP are read.',
  large: (pixels: number): string =>
    `The picture has ${Math.round(pixels / 1e6)} million pixels; at most ${MOST_PIXELS / 1e6} million are read. Make it smaller.`,
  damaged: 'The picture is damaged: it could not be read to its end. Send the file once more.',
} as const

const HEIC = /^ftyp(heic|heix|hevc|heim|heis|mif1|msf1|heif)/

/** Whether a file is an HEIC photograph: such files name themselves after four bytes (ISO/IEC 23008-12). */
export const isHeic = (head: Uint8Array): boolean => HEIC.test(String.fromCharCode(...head.subarray(4, 12)))

/** The focal length as on 35 mm film, by its number among the tags of a camera (Exif 2.3). */
export const FOCAL_TAG = 0xa405

/** What a camera wrote of its lens, mm on 35 mm film; nothing where it wrote nothing that can be. */
export const focalSaid = (value: unknown): number | undefined =>
  typeof value === 'number' && value >= 8 && value <= 400 ? value : undefined
