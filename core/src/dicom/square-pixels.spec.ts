import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inSquarePixels } from './square-pixels'

describe('square pixels', () => {
  it('hold the same values at the same places, whatever shape they had', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        fc.integer({ min: 20, max: 60 }),
        fc.integer({ min: 20, max: 60 }),
        (high, width, height) => {
          const data = Uint16Array.from(
            { length: width * height },
            (_, i) => 100 + 7 * (i % width) + 3 * Math.floor(i / width),
          )
          const drawn = inSquarePixels({ width, height, data }, [high, 1])
          const least = Math.min(high, 1)
          expect(Math.abs(drawn.width * least - width)).toBeLessThanOrEqual(least / 2 + 1e-9)
          expect(Math.abs(drawn.height * least - height * high)).toBeLessThanOrEqual(least / 2 + 1e-9)
          // A slope is the same slope, in the measure of either axis.
          for (const [x, y] of [
            [0.3, 0.4],
            [0.5, 0.5],
            [0.7, 0.2],
          ] as const) {
            const [u, v] = [Math.floor(x * drawn.width), Math.floor(y * drawn.height)]
            const at =
              100 +
              7 * (((u + 0.5) * width) / drawn.width - 0.5) +
              3 * (((v + 0.5) * height) / drawn.height - 0.5)
            expect(drawn.data[v * drawn.width + u]).toBeCloseTo(at, 3)
          }
        },
      ),
    )
  })
})
