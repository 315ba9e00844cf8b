import fc from 'fast-check'
import dcmjs from 'dcmjs'
import { describe, expect, it } from 'vitest'
import { greyShown, readDicom, windowsOf } from '@crescent/core/dicom'
import { madeUpRadiograph } from '@crescent/core/made-up'
import { packed } from '../../testing/pack-radiograph'
import { dicomOf, type DicomWish } from './write-dicom'

const { picture, truth } = madeUpRadiograph({ seed: 5, width: 400 })
const USUAL: DicomWish = { mmPerPixel: truth.mmPerPixel, patient: 'Made^Up', side: 'L', date: '2026-11-20' }
const read = async (wish: Partial<DicomWish> = {}, from = picture) => {
  const found = await readDicom(dicomOf(from, { ...USUAL, ...wish }))
  if (!found.ok) throw new Error(found.problem)
  return found
}
const problemOf = async (file: Uint8Array) => {
  const found = await readDicom(file)
  return found.ok ? '' : found.problem
}

describe('a radiograph that a library from the registry wrote', () => {
  it('is read to the pixel, with its scale and whose it is', async () => {
    const found = await read()
    expect(found.picture).toMatchObject({ width: 400, height: 320 })
    expect(Array.from(found.picture.data)).toEqual(Array.from(picture.data))
    expect(found.scale).toEqual({ mmPerPixel: truth.mmPerPixel, by: 'calibrated' })
    expect(found.told).toContainEqual({ label: 'Patient', text: 'Made Up' })
    expect(found.inverted).toBe(false)
  })

  it('has every attribute that a checker of the standard asks for', () => {
    const { dict, meta } = dcmjs.data.DicomMessage.readFile(new Uint8Array(dicomOf(picture, USUAL)).buffer)
    // As dciodvfy (dicom3tools 1.00) listed them: types 1 and 2 of a digital X-ray for presentation.
    const asked =
      '00100020 00100030 00100040 00080030 00080090 00200010 00080050 00200011 00080068 00080070 00200013 00200020 ' +
      '00082218 00080008 00281040 00281041 00281052 00281053 00281054 20500020 00282110 00280301 00187004 00181164 ' +
      '00280a04 00400555 00281050 00281051'
    expect(asked.split(' ').filter((tag) => !(tag.toUpperCase() in dict))).toEqual([])
    expect('00020001' in meta).toBe(true)
  })

  it.each(['jpeg-ls', 'jpeg-2000', 'jpeg-lossless'] as const)(
    'packed as %s is the same to the pixel',
    async (kind) => {
      const found = await read({ packed: await packed(kind, picture) })
      expect(Array.from(found.picture.data)).toEqual(Array.from(picture.data))
    },
  )

  it.each(['jpeg-ls', 'jpeg-2000'] as const)(
    'of 8 bits packed as %s is the same to the pixel',
    async (kind) => {
      const small = { ...picture, data: picture.data.map((value) => value >> 6) }
      const eight = { BitsAllocated: 8, BitsStored: 8, HighBit: 7 }
      const found = await read({ packed: await packed(kind, small, 8), more: eight }, small)
      expect(Array.from(found.picture.data)).toEqual(Array.from(small.data))
    },
  )

  it.each(['jpeg-ls', 'jpeg-2000', 'jpeg-lossless'] as const)(
    'packed as %s and cut off is refused, never filled up',
    async (kind) => {
      const { syntax, bytes } = await packed(kind, picture)
      const short = bytes.slice(0, Math.floor(bytes.length * 0.7))
      expect(await problemOf(dicomOf(picture, { ...USUAL, packed: { syntax, bytes: short } }))).toContain(
        'damaged',
      )
      // And where somebody closed it again.
      short.set([0xff, 0xd9], short.length - 2)
      if (kind !== 'jpeg-2000')
        expect(await problemOf(dicomOf(picture, { ...USUAL, packed: { syntax, bytes: short } }))).toContain(
          'damaged',
        )
    },
  )

  it('bits above the stored ones are no part of it; signed values, slope and intercept are minded', async () => {
    const high = { ...picture, data: picture.data.map((value) => value | 0xc000) }
    expect(Array.from((await read({}, high)).picture.data)).toEqual(Array.from(picture.data))
    const signed = { ...picture, data: picture.data.map((value) => (value - 8192) & 0x3fff) }
    const more = { PixelRepresentation: 1, RescaleSlope: 2, RescaleIntercept: 100 }
    const found = await read({ more }, signed)
    expect(found.picture.data[777]).toBe((picture.data[777]! - 8192) * 2 + 100)
  })

  it('is as dark as it says: its own window, or what it mostly is; MONOCHROME1 the other way about', async () => {
    const own = await read({
      more: { WindowCenter: 4000, WindowWidth: 2000, PhotometricInterpretation: 'MONOCHROME1' },
    })
    expect(own.window).toEqual({ centre: 4000, width: 2000 })
    expect(own.inverted).toBe(true)
    const at = (value: number, inverted: boolean) =>
      greyShown({ width: 1, height: 1, data: Float32Array.of(value) }, own.window!, inverted)[0]
    expect([at(2999, false), at(4000, false), at(5001, false)]).toEqual([0, 127, 255])
    expect([at(2999, true), at(5001, true)]).toEqual([255, 0])
    const { usual, whole } = windowsOf(own.picture)
    expect(usual.width).toBeLessThan(whole.width)
    expect(usual.width).toBeGreaterThan(3000)
  })

  it('says which scale it has: by magnification before calibrated before the detector’s, and none that is not there', async () => {
    const scale = async (more: Record<string, unknown>) =>
      (await read({ more: { PixelSpacingCalibrationType: undefined, PixelSpacing: undefined, ...more } }))
        .scale
    // Source to detector 1000, to the foot 800 mm: 1.25 times too large there.
    expect(
      await scale({
        ImagerPixelSpacing: [0.2, 0.2],
        DistanceSourceToDetector: 1000,
        DistanceSourceToPatient: 800,
      }),
    ).toEqual({ mmPerPixel: 0.16, by: 'magnification', magnification: 1.25 })
    expect(await scale({ ImagerPixelSpacing: [0.2, 0.2], PixelSpacing: [0.17, 0.17] })).toMatchObject({
      by: 'calibrated',
      mmPerPixel: 0.17,
    })
    expect(await scale({ ImagerPixelSpacing: [0.2, 0.2], PixelSpacing: [0.2, 0.2] })).toMatchObject({
      by: 'detector',
    })
    expect(await scale({ ImagerPixelSpacing: undefined })).toEqual({ by: 'unsaid' })
    expect(await scale({ ImagerPixelSpacing: [0.2, 0.3] })).toEqual({ by: 'detector', mmPerPixel: 0.2 })
  })
})

describe('a file that is none', () => {
  it('is refused in words', async () => {
    expect(await problemOf(Buffer.from('a text that was called .dcm'))).toContain('no radiograph')
    expect(
      await problemOf(
        dicomOf(picture, { ...USUAL, more: { SamplesPerPixel: 3, PhotometricInterpretation: 'RGB' } }),
      ),
    ).toContain('coloured')
    expect(await problemOf(dicomOf(picture, { ...USUAL, more: { NumberOfFrames: 3 } }))).toContain(
      'more than one picture',
    )
    expect(
      await problemOf(dicomOf(picture, { ...USUAL, more: { Rows: 30_000, Columns: 30_000 } })),
    ).toContain('900 million pixels')
    const whole = dicomOf(picture, USUAL)
    expect(await problemOf(whole.subarray(0, whole.length - 20_000))).toContain('damaged')
    const packing = { packed: { syntax: '1.2.840.10008.1.2.4.51', bytes: Uint8Array.of(255, 216, 255, 217) } }
    expect(await problemOf(dicomOf(picture, { ...USUAL, ...packing }))).toContain('JPEG-LS')
  })

  it(
    'however it was broken is read or refused, and nothing is thrown: 10,000 times',
    { timeout: 120_000 },
    async () => {
      const small = madeUpRadiograph({ seed: 2, width: 400 }).picture
      const tiny = { width: 40, height: 32, data: small.data.slice(0, 1280) }
      const kinds = [
        dicomOf(tiny, USUAL),
        ...(await Promise.all(
          (['jpeg-ls', 'jpeg-2000', 'jpeg-lossless'] as const).map(async (kind) =>
            dicomOf(tiny, { ...USUAL, packed: await packed(kind, tiny) }),
          ),
        )),
      ]
      let refused = 0
      await fc.assert(
        fc.asyncProperty(
          fc.constantFrom(...kinds),
          fc.array(fc.tuple(fc.double({ min: 0, max: 1, noNaN: true, maxExcluded: true }), fc.nat(255)), {
            minLength: 1,
            maxLength: 12,
          }),
          fc.double({ min: 0.3, max: 1, noNaN: true }),
          fc.boolean(),
          async (from, changes, share, cut) => {
            const broken = Uint8Array.from(from)
            for (const [at, byte] of changes) broken[Math.floor(at * broken.length)] = byte
            const found = await readDicom(
              cut ? broken.subarray(0, Math.floor(broken.length * share)) : broken,
            )
            if (!found.ok) {
              refused++
              expect(found.problem).toMatch(/[a-z0-9]\.$/)
            } else expect(found.picture.data).toHaveLength(found.picture.width * found.picture.height)
          },
        ),
        { numRuns: 10_000 },
      )
      expect(refused).toBeGreaterThan(1000)
    },
  )
})
