import {
  FILE_WORDS,
  FOCAL_TAG,
  focalSaid,
  MOST_PIXELS,
  unreadPicture,
  type Picture,
} from '@crescent/core/photographs'
import exifr from 'exifr'
import sharp from 'sharp'

/** A picture that cannot be read, in a sentence. */
export class NoPicture extends Error {}

/** A picture as it is seen, and what its camera said of itself. */
export interface ReadPicture {
  picture: Picture
  /** Focal length as on 35 mm film, mm; missing where the picture does not say it. */
  focal35?: number
}

const KINDS = ['jpeg', 'png', 'webp']

/**
 * Reads a photograph: JPEG, PNG or WebP, turned upright as its camera says, at most {@link MOST_PIXELS}.
 *
 * @throws NoPicture for anything else, with the way out
 */
export async function readPicture(file: Uint8Array): Promise<ReadPicture> {
  const unread = unreadPicture(file)
  if (unread) throw new NoPicture(unread)
  // Only the head of the file is read here, however large its picture is.
  const { format, width, height } = await sharp(file, { limitInputPixels: false })
    .metadata()
    .catch(() => ({ format: '', width: 0, height: 0 }))
  if (!KINDS.includes(format)) throw new NoPicture(FILE_WORDS.other)
  if (width * height > MOST_PIXELS) throw new NoPicture(FILE_WORDS.large(width * height))
  try {
    const { data, info } = await sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .ensureAlpha()
      .toColourspace('srgb')
      .raw()
      .toBuffer({ resolveWithObject: true })
    const focal35 = await focalOf(file)
    return {
      picture: { width: info.width, height: info.height, data },
      ...(focal35 !== undefined && { focal35 }),
    }
  } catch {
    throw new NoPicture(FILE_WORDS.damaged)
  }
}

async function focalOf(file: Uint8Array): Promise<number | undefined> {
  const tags = (await exifr
    .parse(file, { pick: [FOCAL_TAG], translateKeys: false })
    .catch(() => undefined)) as Record<number, unknown> | undefined
  return focalSaid(tags?.[FOCAL_TAG])
}
