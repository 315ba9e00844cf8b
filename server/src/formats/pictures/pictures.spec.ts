import { crc32 } from 'node:zlib'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { madeUpPhotograph, type PhotoWish } from '@crescent/core/made-up'
import { tracePhoto } from '@crescent/core/photo-tracing'
import { NoPicture, readPicture } from './read-picture'
import { jpegOf } from './write-picture'

type At = readonly [number, number]

/** How far a place lies from a line, mm: by its pieces, one after the other. */
function offLine([x, y]: At, line: readonly At[]): number {
  return line.slice(1).reduce((least, [bx, by], i) => {
    const [ax, ay] = line[i]!
    const long = (bx - ax) ** 2 + (by - ay) ** 2
    const t = long > 0 ? Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / long)) : 0
    return Math.min(least, Math.hypot(x - ax - t * (bx - ax), y - ay - t * (by - ay)))
  }, Infinity)
}

function against(line: readonly At[], truth: readonly At[]) {
  const offs = line.map((at) => offLine(at, truth)).sort((a, b) => a - b)
  return { mean: offs.reduce((a, b) => a + b) / offs.length, most: offs[Math.floor(offs.length * 0.95)]! }
}

/** A made-up photograph that has been through a file, and what is read from it. */
async function followed(wish: PhotoWish) {
  const { picture, truth } = madeUpPhotograph(wish)
  const read = await readPicture(await jpegOf(picture, 82, truth.focal35))
  const { object, card, height, taps } = truth
  const focal35 = read.focal35
  const traced = tracePhoto(read.picture, {
    object,
    card,
    height,
    taps,
    ...(focal35 !== undefined && { focal35 }),
  })
  return { traced, truth, focal35 }
}

describe('twenty made-up photographs', () => {
  // Tilt to 35 degrees, four grounds, light from one side, a soft lens that bends lines, grain, JPEG; taps 4 mm off.
  it.each(Array.from({ length: 14 }, (_, i) => i + 1))(
    'foot %i: half a mm on the whole, 1.5 mm nearly everywhere',
    async (seed) => {
      const { traced, truth, focal35 } = await followed({
        ...{ seed: seed + 20, tilt: 3 + ((seed * 7) % 33), height: (seed * 3) % 10, tapping: 4, width: 1000 },
      })
      if (!traced.ok) throw new Error(traced.problem)
      const closed = [...truth.outline, truth.outline[0]!]
      for (const { mean, most } of [
        against(traced.outline, closed),
        against(truth.outline, [...traced.outline, traced.outline[0]!]),
      ]) {
        expect(mean).toBeLessThan(0.5)
        expect(most).toBeLessThan(1.5)
      }
      expect(focal35).toBe(truth.focal35)
    },
  )

  it.each([1, 2, 3, 4, 5, 6])(
    'shoe %i: both rims within half a mm on the whole, and its holes',
    async (seed) => {
      const { traced, truth } = await followed({
        ...{ seed: seed + 60, tilt: 3 + seed * 5, object: 'shoe', tapping: 4, width: 1000 },
      })
      if (!traced.ok) throw new Error(traced.problem)
      expect(against(traced.outline, truth.outline).mean).toBeLessThan(0.5)
      expect(against(traced.inner!, truth.inner!).mean).toBeLessThan(0.5)
      expect(traced.holes).toHaveLength(truth.holes!.length)
      for (const hole of truth.holes!)
        expect(Math.min(...traced.holes!.map(([x, y]) => Math.hypot(x - hole[0], y - hole[1])))).toBeLessThan(
          1,
        )
    },
  )
})

describe('a file', () => {
  const plain = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: { r: 90, g: 80, b: 70 } } })
  const problemOf = async (file: Uint8Array) =>
    readPicture(file).then(
      () => '',
      (error: unknown) => {
        expect(error).toBeInstanceOf(NoPicture)
        return (error as Error).message
      },
    )

  it('is turned upright as its camera says; PNG and WebP are read as well', async () => {
    const turned = await plain(60, 40).withMetadata({ orientation: 6 }).jpeg().toBuffer()
    expect((await readPicture(turned)).picture).toMatchObject({ width: 40, height: 60 })
    for (const file of [await plain(30, 20).png().toBuffer(), await plain(30, 20).webp().toBuffer()])
      expect((await readPicture(file)).picture).toMatchObject({ width: 30, height: 20 })
  })

  it('that is none, is cut off, is too large or of another kind is refused in words', async () => {
    expect(await problemOf(Buffer.from('this is a text that was called .jpg'))).toContain('no photograph')
    const whole = await plain(400, 300).jpeg().toBuffer()
    expect(await problemOf(whole.subarray(0, whole.length / 2))).toContain('damaged')
    // A head that promises 200 million pixels, with its sum put right (RFC 2083).
    const bomb = await plain(20, 20).png().toBuffer()
    bomb.writeUInt32BE(16_000, 16)
    bomb.writeUInt32BE(12_500, 20)
    bomb.writeUInt32BE(crc32(bomb.subarray(12, 29)), 29)
    expect(await problemOf(bomb)).toContain('200 million pixels')
    const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(40)])
    expect(await problemOf(heic)).toContain('HEIC')
    const grey = sharp({ create: { width: 24, height: 16, channels: 3, background: '#777' } })
    for (const kind of ['avif', 'tiff', 'gif'] as const)
      expect(await problemOf(await grey.clone()[kind]().toBuffer())).toMatch(
        new RegExp(`${kind.toUpperCase()}.*save it as JPEG or PNG`),
      )
    expect(await problemOf(await plain(30, 20).gif().toBuffer())).toContain('GIF')
  })
})
