import { describe, expect, it } from 'vitest'
import { pattern } from '../testing/farriers'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { TOLERANCE } from './bend-plan'
import { planBends } from './plan-bends'
import { tappedShape, placesOnPattern } from './tapped-shape'
import { HALVES } from '../terms/half'

describe('a shape as it was seen on the foot', () => {
  it('stands off its pattern where and as far as it was said, and nowhere else', () => {
    const shape = tappedShape(pattern, [{ branch: 'lateral', place: 'heel', by: -6 }])
    expect(shape[0]![0]).toBeLessThan(pattern.points[0]![0] - 5)
    shape.forEach(([x, y], i) => {
      if (pattern.stations[i]! > pattern.toe) expect([x, y]).toEqual(pattern.points[i])
    })
    const wide = tappedShape(pattern, [{ branch: 'medial', place: 'quarter', by: 4 }])
    const most = Math.max(
      ...wide.map(([x, y], i) => Math.hypot(x - pattern.points[i]![0], y - pattern.points[i]![1])),
    )
    expect(most).toBeCloseTo(4, 1)
    expect(Math.min(...wide.map(([x]) => x))).toBeLessThan(Math.min(...pattern.points.map(([x]) => x)) - 3)
  })

  it('is tapped on the pattern: three places a branch, outward away from the middle of the foot', () => {
    const places = placesOnPattern(pattern)
    expect(places.map(({ branch, place }) => `${branch} ${place}`)).toEqual([
      ...['lateral toe quarter', 'lateral quarter', 'lateral heel'],
      ...['medial toe quarter', 'medial quarter', 'medial heel'],
    ])
    for (const { branch, point, outward } of places) {
      expect(Math.hypot(...outward)).toBeCloseTo(1, 9)
      expect(point[0] * (branch === 'lateral' ? 1 : -1)).toBeGreaterThan(20)
      expect(outward[0] * point[0] + outward[1] * point[1]).toBeGreaterThan(0)
    }
  })

  it('has only the branch bent that was seen off', () => {
    for (const branch of HALVES)
      for (const by of [-8, -3, 5]) {
        const shape = tappedShape(pattern, [{ branch, place: 'heel', by }])
        const found = planBends({ foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }, { points: shape }, TOLERANCE, [
          branch,
        ])
        expect(found.within).toBe(true)
        expect(found.bends.length).toBeGreaterThan(0)
        expect(new Set(found.bends.map((one) => one.branch))).toEqual(new Set([branch]))
      }
  })

  it('is brought back by opening the heel that was tight', () => {
    const shape = tappedShape(pattern, [{ branch: 'lateral', place: 'heel', by: -6 }])
    const found = planBends({ foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }, { points: shape })
    expect(found.within).toBe(true)
    expect(found.bends.map(({ branch, opens }) => [branch, opens])).toEqual([['lateral', true]])
  })
})
