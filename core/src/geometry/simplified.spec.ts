import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { simplified } from './simplified'
import { distance, type Vec } from './vector'

const coordinate = fc.double({ min: -200, max: 200, noNaN: true })
const line = fc.array(fc.tuple(coordinate, coordinate), { maxLength: 60 })

/** How far a point lies from a line of points, by many samples of its pieces. */
function away(point: Vec, points: readonly Vec[]): number {
  let least = distance(point, points[0]!)
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!]
    for (let s = 0; s <= 200; s++) {
      const t = s / 200
      least = Math.min(least, distance(point, [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]))
    }
  }
  return least
}
describe('simplified', () => {
  it('keeps within the tolerance of every point it leaves out, and both ends', () => {
    fc.assert(
      fc.property(line, fc.double({ min: 0.5, max: 20, noNaN: true }), (points, tolerance) => {
        const few = simplified(points, tolerance)
        expect(few.length).toBeLessThanOrEqual(points.length)
        if (points.length === 0) return
        expect([few[0], few.at(-1)]).toEqual([points[0], points.at(-1)])
        // The samples stand up to a two-hundredth of a piece apart.
        for (const point of points) expect(away(point, few)).toBeLessThan(tolerance + 1.5)
      }),
      { numRuns: 60 },
    )
  })

  it('makes of a straight run its two ends', () => {
    const run = Array.from({ length: 50 }, (_, i): Vec => [i, i / 3])
    expect(simplified(run, 0.01)).toEqual([run[0], run[49]])
  })
})
