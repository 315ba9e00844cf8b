import { MOST_PIXELS, type Picture } from '@crescent/core/photographs'
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
  if (isHeic(file))
    throw new NoPicture(
      'This is an HEIC photograph, which is not read here: set the camera to “most compatible” (JPEG), or send it to yourself by mail, which makes a JPEG of it.',
    )
  // Only the head of the file is read here, however large its picture is.
  const { format, width, height } = await sharp(file, { limitInputPixels: false })
    .metadata()
    .catch(() => ({ format: '', width: 0, height: 0 }))
  if (!KINDS.includes(format)) throw new NoPicture('This is no photograph: JPEG, PNG and WebP are read.')
  if (width * height > MOST_PIXELS)
    throw new NoPicture(
      `The picture has ${Math.round((width * height) / 1e6)} million pixels; at most ${MOST_PIXELS / 1e6} million are read. Make it smaller.`,
    )
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
    throw new NoPicture('The picture is damaged: only a part of it could be read. Send the file once more.')
  }
}

/** What the camera wrote beside the picture; nothing where it wrote nothing that can be. */
async function focalOf(file: Uint8Array): Promise<number | undefined> {
  const tags = (await exifr.parse(file, ['FocalLengthIn35mmFormat']).catch(() => undefined)) as
    Record<string, unknown> | undefined
  const focal = tags?.['FocalLengthIn35mmFormat']
  return typeof focal === 'number' && focal >= 8 && focal <= 400 ? focal : undefined
}

/** ISO base media files name themselves after eight bytes: those of HEIF begin so (ISO/IEC 23008-12). */
function isHeic(file: Uint8Array): boolean {
  const text = Buffer.from(file.subarray(4, 12)).toString('latin1')
  return text.startsWith('ftyp') && /^(heic|heix|hevc|heim|heis|mif1|msf1|heif)$/.test(text.slice(4))
}
