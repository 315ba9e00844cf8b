import fc from 'fast-check'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { HANGS, worked } from '@crescent/core/testing/hangs'
import { readJpeg } from './jpeg'

/** `npm run fuzz -w server` tries ten thousand. */
const CASES = Number(process.env['FUZZ_CASES'] ?? 500)

const grain = Buffer.from(Uint8Array.from({ length: 48 * 36 * 3 }, (_, i) => (i * 2_654_435_761) >>> 24))
const made = sharp(grain, { raw: { width: 48, height: 36, channels: 3 } })
const files = await Promise.all([
  made.clone().jpeg().toBuffer(),
  made.clone().jpeg({ progressive: true }).toBuffer(),
  made
    .clone()
    .withExif({ IFD0: { Artist: 'Quillwort' } })
    .jpeg()
    .toBuffer(),
])

describe('a JPEG file', () => {
  it('says its size as who unpacks it finds it, in each of its forms', async () => {
    for (const file of files) {
      const { width, height } = await sharp(file).metadata()
      expect(readJpeg(file)).toMatchObject({ width, height })
    }
  })

  it('is read or put down, whatever is broken in it, and what is kept of it is never more than it was', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...files),
        fc.array(fc.tuple(fc.nat(), fc.integer({ min: 0, max: 255 })), { maxLength: 12 }),
        fc.option(fc.nat(), { nil: undefined }),
        (whole, changes, cut) => {
          const file = Buffer.from(cut === undefined ? whole : whole.subarray(0, cut % whole.length))
          for (const [at, value] of changes) if (file.length > 0) file[at % file.length] = value
          const began = worked()
          const read = readJpeg(file)
          expect(worked() - began).toBeLessThan(HANGS)
          if (!read) return
          expect(read.bare.length).toBeLessThanOrEqual(file.length)
          expect(readJpeg(read.bare)).toEqual({ ...read, bare: read.bare })
        },
      ),
      { numRuns: CASES },
    )
  })
})
