import { problem, ProblemError, type StoredPicture } from '@crescent/core'
import { readJpeg } from './jpeg'

/** More than any telephone takes; unpacked it fits into memory, pixels. */
export const MOST_PIXELS = 50_000_000

/**
 * A picture as it is kept: nothing stands in its file but the picture.
 *
 * @throws ProblemError where the file is no JPEG that can be read, is not as large as it is said to be, or too large
 */
export function keptPicture(picture: StoredPicture): StoredPicture {
  const read = readJpeg(Buffer.from(picture.file, 'base64'))
  if (!read) throw new ProblemError([problem('file', 'This is no JPEG file, or it breaks off')])
  if (read.width * read.height > MOST_PIXELS)
    throw new ProblemError([
      problem('file', `The picture has more than ${MOST_PIXELS / 1_000_000} million pixels`),
    ])
  if (read.width !== picture.width || read.height !== picture.height)
    throw new ProblemError([
      problem(
        'width',
        `The file is ${read.width} x ${read.height} pixels, not ${picture.width} x ${picture.height}`,
      ),
    ])
  return { ...picture, file: read.bare.toString('base64') }
}
