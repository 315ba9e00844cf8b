import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Colours, type Lab } from './colours'
import { colourAt, lightAt, smaller, type Picture } from './picture'

/** A picture of any few pixels, its bytes beginning anywhere in their memory. */
const anyPicture = fc
  .record({ width: fc.integer({ min: 4, max: 40 }), height: fc.integer({ min: 4, max: 40 }) })
  .chain(({ width, height }) =>
    fc.record({
      ...{ width: fc.constant(width), height: fc.constant(height) },
      data: fc
        .tuple(
          fc.uint8Array({ minLength: width * height * 4, maxLength: width * height * 4 }),
          fc.integer({ min: 0, max: 3 }),
        )
        .map(([bytes, before]) => {
          const whole = new Uint8Array(bytes.length + before)
          whole.set(bytes, before)
          return whole.subarray(before)
        }),
    }),
  )

/** The mean of a square of pixels, added up byte by byte. */
function mean({ width, data }: Picture, x: number, y: number, by: number, colour: number): number {
  let sum = 0
  for (let v = y * by; v < (y + 1) * by; v++)
    for (let u = x * by; u < (x + 1) * by; u++) sum += data[(v * width + u) * 4 + colour]!
  return sum / (by * by)
}

describe('a picture', () => {
  it('made smaller has the mean of each square in each of its bytes', () => {
    fc.assert(
      fc.property(anyPicture, fc.integer({ min: 1, max: 4 }), (picture, by) => {
        const small = smaller(picture, by)
        expect([small.width, small.height]).toEqual([
          Math.floor(picture.width / by),
          Math.floor(picture.height / by),
        ])
        for (let y = 0; y < small.height; y++)
          for (let x = 0; x < small.width; x++)
            for (let colour = 0; colour < 4; colour++)
              expect(
                Math.abs(small.data[(y * small.width + x) * 4 + colour]! - mean(picture, x, y, by, colour)),
              ).toBeLessThanOrEqual(0.5)
      }),
      { numRuns: 40 },
    )
  })

  it('is made smaller by sixteen at most: white stays white, more is refused', () => {
    const white = { width: 32, height: 32, data: new Uint8Array(32 * 32 * 4).fill(255) }
    expect([...smaller(white, 16).data]).toEqual(Array(16).fill(255))
    expect(() => smaller(white, 17)).toThrow(RangeError)
  })

  it('looked at coarsely is as it would be made smaller, without being made so', () => {
    const place = fc.tuple(
      fc.double({ min: -2, max: 12, noNaN: true }),
      fc.double({ min: -2, max: 12, noNaN: true }),
    )
    fc.assert(
      fc.property(anyPicture, fc.integer({ min: 1, max: 2 }), place, (picture, by, [x, y]) => {
        const [wide, high] = [Math.floor(picture.width / by), Math.floor(picture.height / by)]
        const within = (value: number, most: number) => Math.min(most, Math.max(0, value))
        const [u, v] = [within(x, wide - 1), within(y, high - 1)]
        const [left, top] = [Math.min(wide - 2, Math.floor(u)), Math.min(high - 2, Math.floor(v))]
        for (const colour of [0, 1, 2] as const) {
          const corner = (i: number, j: number) => mean(picture, left + i, top + j, by, colour)
          const [a, b] = [u - left, v - top]
          const between =
            (1 - a) * (1 - b) * corner(0, 0) +
            a * (1 - b) * corner(1, 0) +
            (1 - a) * b * corner(0, 1) +
            a * b * corner(1, 1)
          expect(colourAt(picture, x, y, by)[colour]).toBeCloseTo(between, 6)
        }
      }),
    )
  })

  it('is as light as its colours weigh', () => {
    fc.assert(
      fc.property(anyPicture, fc.double({ min: 0, max: 3, noNaN: true }), (picture, at) => {
        const [red, green, blue] = colourAt(picture, at, at / 2, 1)
        expect(lightAt(picture, at, at / 2)).toBeCloseTo(0.299 * red + 0.587 * green + 0.114 * blue, 6)
      }),
    )
  })
})

describe('how often colours are met', () => {
  const anyColour = fc.tuple(
    fc.double({ min: 0, max: 103, noNaN: true }),
    fc.double({ min: -63, max: 63, noNaN: true }),
    fc.double({ min: -63, max: 63, noNaN: true }),
  ) as fc.Arbitrary<Lab>

  /** A quarter to each neighbour, twice along each of the three, as one sample spreads: 1 4 6 4 1 of 16, folded back at the ends. */
  function share(from: number, to: number, cells: number): number {
    let line: number[] = Array.from({ length: cells }, (_, i) => (i === from ? 1 : 0))
    for (let round = 0; round < 2; round++)
      line = line.map((here, i) => 0.25 * (line[i - 1] ?? here) + 0.5 * here + 0.25 * (line[i + 1] ?? here))
    return line[to]!
  }
  const cells = ([light, red, yellow]: Lab) =>
    [Math.min(25, Math.floor(light / 4)), Math.floor(red / 4 + 16), Math.floor(yellow / 4 + 16)] as const

  it('every sample says something of its own cell and of two to each side, and all of them together one', () => {
    fc.assert(
      fc.property(fc.array(anyColour, { minLength: 1, maxLength: 6 }), anyColour, (samples, asked) => {
        const met = new Colours(samples)
        for (const colour of [asked, ...samples]) {
          const to = cells(colour)
          const expected = samples.reduce((sum, sample) => {
            const from = cells(sample)
            return (
              sum +
              (share(from[0], to[0], 26) * share(from[1], to[1], 32) * share(from[2], to[2], 32)) /
                samples.length
            )
          }, 0)
          expect(met.of(colour) - 1e-5).toBeCloseTo(expected, 6)
        }
      }),
    )
  })
})
