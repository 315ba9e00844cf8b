import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readDicom } from '@crescent/core/dicom'
import { looksLikeDicom } from '@crescent/core/radiographs'

// Files of programs that nobody here wrote; how they were made stands beside them.
const bytesOf = (name: string) =>
  new Uint8Array(
    readFileSync(join(import.meta.dirname, '../../../../core/src/testing/radiographs', `${name}.dcm`)),
  )
const [WIDTH, HEIGHT] = [48, 40]
const depth = (x: number, y: number): number =>
  60 * x + 20 * y + ((x - 24) ** 2 + (y - 20) ** 2 < 100 ? 900 : 0)
const TWELVE = Array.from({ length: WIDTH * HEIGHT }, (_, i) => depth(i % WIDTH, Math.floor(i / WIDTH)))
const EIGHT = TWELVE.map((value) => value >> 4)
const read = async (name: string) => {
  const found = await readDicom(bytesOf(name))
  if (!found.ok) throw new Error(`${name}: ${found.problem}`)
  return found
}
const problemOf = async (bytes: Uint8Array) => {
  const found = await readDicom(bytes)
  return found.ok ? '' : found.problem
}

describe('a radiograph of another program', () => {
  it.each([
    'plain',
    'big-endian',
    'deflated',
    'bare-implicit',
    'bare-explicit',
    'runs',
    'lossless',
    'lossless-sv1',
    'jpeg-ls',
    'high-bits',
  ])('is read to the pixel: %s', async (name) => {
    const { picture, inverted } = await read(name)
    expect(picture).toMatchObject({ width: WIDTH, height: HEIGHT })
    expect(Array.from(picture.data)).toEqual(TWELVE)
    expect(inverted).toBe(false)
    expect(looksLikeDicom(bytesOf(name))).toBe(true)
  })

  it.each(['eight', 'runs-eight', 'jpeg-ls-eight', 'grey-as-rgb'])(
    'of 8 bits is read to the pixel: %s',
    async (name) => expect(Array.from((await read(name)).picture.data)).toEqual(EIGHT),
  )

  it.each(['baseline', 'baseline-rgb'])('packed with loss is read to a few steps: %s', async (name) => {
    const { picture } = await read(name)
    const off = Array.from(picture.data).map((value, i) => Math.abs(value - EIGHT[i]!))
    expect(off.reduce((a, b) => a + b) / off.length).toBeLessThan(2)
    expect(Math.max(...off)).toBeLessThan(16)
  })

  it('whose pixels are longer one way comes out in square ones, measured in mm of both axes', async () => {
    const wide = await read('wide-pixels')
    expect(wide.picture).toMatchObject({ width: 72, height: HEIGHT })
    expect(wide.scale).toMatchObject({ mmPerPixel: 0.2 })
    const high = await read('high-pixels')
    expect(high.picture).toMatchObject({ width: WIDTH, height: 80 })
    expect(high.scale).toEqual({ by: 'unsaid' })
    // The disc of 10 pixels is 3 mm across one way and 2 the other: as wide in mm as it is drawn.
    const row = Array.from({ length: 72 }, (_, x) => wide.picture.data[20 * 72 + x]! - 40 * x - 400)
    expect(row.filter((value) => value > 450).length * 0.2).toBeCloseTo(19 * 0.3, 0)
    expect(await problemOf(bytesOf('two-shapes'))).toContain('how high and how wide')
  })

  it('is as light as its file wants it: by its shape of greys, by a table', async () => {
    expect((await read('inverse')).inverted).toBe(true)
    const { picture, inverted } = await read('modality-table')
    expect(inverted).toBe(false)
    expect(Array.from(picture.data)).toEqual(TWELVE.map((value) => 4095 - value))
  })

  it('says whose it is in its own letters', async () => {
    expect((await read('utf-8')).told).toContainEqual({ label: 'Patient', text: 'Größe Łódź' })
    expect((await read('cyrillic')).told).toContainEqual({ label: 'Patient', text: 'Лошадь' })
  })

  it('is refused by what it is where it is none that is read', async () => {
    expect(await problemOf(bytesOf('coloured'))).toContain('coloured')
    expect(await problemOf(bytesOf('extended'))).toContain('packed in a way that is not read')
    const odd = bytesOf('high-bits').slice()
    // HighBit 15 of 16 with 16 stored bits is right; 4 with 12 stored cannot be.
    const at = odd.findIndex((_, i) => [0x28, 0, 0x02, 0x01, 85, 83].every((byte, k) => odd[i + k] === byte))
    odd[at + 8] = 4
    expect(await problemOf(odd)).toContain('highest of them is 4')
  })

  it.each(['lossless', 'lossless-sv1', 'jpeg-ls', 'runs', 'baseline', 'deflated', 'plain'])(
    'that is cut off anywhere is refused, never filled up: %s',
    async (name) => {
      const whole = bytesOf(name)
      await fc.assert(
        fc.asyncProperty(fc.double({ min: 0.5, max: 0.97, noNaN: true }), async (share) => {
          expect(await problemOf(whole.subarray(0, Math.floor(whole.length * share)))).not.toBe('')
        }),
        { numRuns: 12 },
      )
    },
  )

  it('whose packed stream was cut and closed again is refused as well', async () => {
    const whole = bytesOf('lossless-sv1')
    const start = whole.findIndex(
      (_, i) => whole[i] === 0xff && whole[i + 1] === 0xd8 && whole[i + 2] === 0xff,
    )
    const end = whole.findLastIndex((byte, i) => byte === 0xff && whole[i + 1] === 0xd9)
    const short = whole.slice()
    // Seven tenths of it, then its end at once, and nothing where the rest was.
    const cut = start + Math.floor((end - start) * 0.7)
    short.fill(0, cut, end + 2)
    short.set([0xff, 0xd9], cut)
    expect(await problemOf(short)).toContain('damaged')
  })
})
