import { describe, expect, it } from 'vitest'
import { trackLength } from '../geometry/track'
import { sizeOf } from '../testing/sizes'
import { lengthFromSold, soldCentreline, soldMeasures, soldRim, soldWidth, widthOf } from './as-sold'

/** The length of a polyline by itself, mm. */
const walked = (points: readonly (readonly [number, number])[]): number =>
  points.reduce(
    (sum, [x, y], i) => (i === 0 ? 0 : sum + Math.hypot(x - points[i - 1]![0], y - points[i - 1]![1])),
    0,
  )

describe('the shape of a factory shoe in the box', () => {
  it('has the length and the width that were said, by walking it', () => {
    for (const feet of ['front', 'hind', 'either'] as const) {
      const facts = sizeOf(310, { feet, width: 132 })
      expect(trackLength(soldCentreline(facts))).toBeCloseTo(310, 6)
      expect(walked(soldCentreline(facts).points) / 310).toBeGreaterThan(0.998)
      expect(widthOf(soldRim(facts))).toBeCloseTo(132, 6)
    }
  })

  it('is as wide as usual where nobody said, and grows with its length', () => {
    for (const feet of ['front', 'hind', 'either'] as const) {
      const usual = sizeOf(310, { feet })
      expect(widthOf(soldRim(usual))).toBeCloseTo(soldWidth(usual), 1)
      expect(soldWidth(sizeOf(330, { feet }))).toBeGreaterThan(soldWidth(usual) + 5)
    }
    // The 5 x 5 in foot of the rules of thumb takes 12 in of bar (common practice).
    expect(soldWidth(sizeOf(304.8))).toBeGreaterThan(123)
    expect(soldWidth(sizeOf(304.8))).toBeLessThan(133)
  })

  it('is found again from the width and the length it is sold by', () => {
    const facts = sizeOf(310, { width: 131 })
    const { toeToHeels, width, heelsMiddle, heelsOutside } = soldMeasures(facts)
    expect(lengthFromSold({ feet: 'front', web: 20, width, toeToHeels })).toBeCloseTo(310, 5)
    expect(heelsOutside - heelsMiddle).toBeGreaterThan(15)
    expect(heelsOutside - heelsMiddle).toBeLessThan(20.001)
  })
})
