import { beforeEach, describe, expect, it } from 'vitest'
import { greyOf, PlateWorker, reduced, type PlateTools } from './plate-work'

const WIDE = 3400
/** Dark on the left, light on the right. */
const coloured = {
  ...{ width: 40, height: 20 },
  data: Uint8ClampedArray.from({ length: 40 * 20 * 4 }, (_, i) =>
    i % 4 === 3 ? 255 : (i >> 2) % 40 < 20 ? 10 : 200,
  ),
}
let packed: { rgba: Uint8ClampedArray; width: number; height: number }[]
let works: PlateWorker
const tools: PlateTools = {
  decoded: () => Promise.resolve(coloured),
  packed: (rgba, width, height) => {
    packed.push({ rgba, width, height })
    return Promise.resolve(new Blob(['picture']))
  },
  drawn: (rgba, width, height) => {
    packed.push({ rgba, width, height })
    return Promise.resolve({} as ImageBitmap)
  },
  locate: (file) => file,
}
beforeEach(() => {
  packed = []
  works = new PlateWorker(tools)
})
const file = new Blob(['anything'])
const grey = (i: number) => packed[0]!.rgba[i * 4]

describe('the worker of a radiograph', () => {
  it('opens a picture, says nothing of a scale, and shows it in the window that is asked for', async () => {
    const opened = await works.answer({ do: 'open', file, dicom: false })
    expect(opened).toMatchObject({ ok: true, width: 40, height: 20, scale: { by: 'unsaid' }, told: [] })
    // At once as it was made to be looked at.
    expect([grey(0), grey(39)]).toEqual([10, 200])
    packed = []
    await works.answer({ do: 'show', window: { centre: 105, width: 190 }, inverted: false })
    // Linear from 10, black, to 200, white.
    expect([grey(0), grey(39)]).toEqual([0, 255])
    packed = []
    await works.answer({ do: 'show', window: { centre: 105, width: 190 }, inverted: true })
    expect([grey(0), grey(39)]).toEqual([255, 0])
  })

  it('refuses in words what is none, and shows nothing then', async () => {
    expect(
      await works.answer({ do: 'show', window: { centre: 1, width: 1 }, inverted: false }),
    ).toMatchObject({
      problem: 'There is no radiograph yet.',
    })
    expect(await works.answer({ do: 'open', file, dicom: true })).toMatchObject({ ok: false })
    const broken = new PlateWorker({ ...tools, decoded: () => Promise.reject(new Error('no picture')) })
    expect(await broken.answer({ do: 'open', file, dicom: false })).toMatchObject({
      ok: false,
      problem: expect.stringContaining('damaged'),
    })
  })

  it('keeps it as fine as it was opened, though a screen shows less, the poorer the more it weighs', async () => {
    const wide = { ...coloured, width: WIDE, height: 4, data: new Uint8ClampedArray(WIDE * 4 * 4).fill(90) }
    const asked: (number | undefined)[] = []
    const heavy = new PlateWorker({
      ...tools,
      decoded: () => Promise.resolve(wide),
      packed: (_rgba, width, _height, quality) => {
        asked.push(quality)
        // What a record takes is three megabytes.
        return Promise.resolve(new Blob([new Uint8Array(quality! > 0.6 ? 3_100_000 : width)]))
      },
    })
    expect(
      await heavy.answer({ do: 'keep', window: { centre: 1, width: 2 }, inverted: false }),
    ).toMatchObject({
      ok: false,
    })
    await heavy.answer({ do: 'open', file, dicom: false })
    const kept = await heavy.answer({ do: 'keep', window: { centre: 105, width: 190 }, inverted: false })
    expect(kept).toMatchObject({ ok: true, width: WIDE, height: 4 })
    expect(asked).toEqual([0.85, 0.7, 0.5])
    expect(atob((kept as { file: string }).file)).toHaveLength(WIDE)
  })

  it('makes one up to practise on, calibrated, the same for the same seed', { timeout: 30_000 }, async () => {
    const one = await works.answer({ do: 'practise', seed: 5 })
    expect(one).toMatchObject({ ok: true, width: 1000, scale: { by: 'calibrated', mmPerPixel: 0.24 } })
    expect(await works.answer({ do: 'practise', seed: 5 })).toEqual(one)
    expect(await works.answer({ do: 'practise', seed: 6 })).not.toEqual(one)
  })

  it('greys a colour as bright as it is seen', () => {
    const data = Uint8ClampedArray.from([255, 0, 0, 255, 0, 255, 0, 255, 0, 0, 255, 255, 255, 255, 255, 255])
    expect([...greyOf({ width: 2, height: 2, data }).data].map(Math.round)).toEqual([76, 150, 29, 255])
  })

  it('brings a wide picture down by whole squares, each the mean of what it was', () => {
    const data = Float32Array.from({ length: WIDE * 6 }, (_, i) => (i % WIDE) + Math.floor(i / WIDE))
    const small = reduced({ width: WIDE, height: 6, data })
    expect([small.width, small.height]).toEqual([1133, 2])
    // The first square: columns 0 to 2, rows 0 to 2.
    expect(small.data[0]).toBeCloseTo(2, 4)
    expect(small.data[1133 + 10]).toBeCloseTo(31 + 4, 4)
    const fits = { width: 10, height: 2, data: data.slice(0, 20) }
    expect(reduced(fits)).toBe(fits)
  })
})
