import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { nailFlight } from './flight'
import { checkNails, resolveNails } from './nail-plan'
import { judge } from './nails'
import { footOutline } from '../foot/outline'
import { wallAngleAt } from '../foot/wall'
import { nearestStation, placeAt } from '../geometry/track'
import { distance, type Vec } from '../geometry/vector'
import { planShoe } from '../plan/plan'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'

describe('nailFlight', () => {
  it('leaves at sqrt(2 R d) when it leans with the wall', () => {
    expect(nailFlight(9.5, 60, 60, 22).exitHeight).toBeCloseTo(Math.sqrt(2 * 22 * 9.5), 9)
    expect(nailFlight(9.5, 60, 60, 22).deepest).toBe(9.5)
  })

  it('really is on the wall at its exit, and never deeper than it says (walked along its way)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 15, noNaN: true }),
        fc.double({ min: 45, max: 88, noNaN: true }),
        fc.double({ min: 50, max: 88, noNaN: true }),
        (inside, lean, wall) => {
          const R = 22
          const cot = (a: number) => 1 / Math.tan((a * Math.PI) / 180)
          const depthAt = (z: number) => inside + z * cot(lean) - (z * z) / (2 * R) - z * cot(wall)
          const { exitHeight, deepest } = nailFlight(inside, lean, wall, R)
          expect(depthAt(exitHeight)).toBeCloseTo(0, 6)
          let most = 0
          for (let z = 0; z < exitHeight; z += 0.05) most = Math.max(most, depthAt(z))
          expect(deepest).toBeGreaterThanOrEqual(most - 1e-9)
          expect(deepest - most).toBeLessThan(0.01)
        },
      ),
    )
  })

  it('comes out higher the coarser the hole and the flatter the lean', () => {
    expect(nailFlight(10, 60, 60, 22).exitHeight).toBeGreaterThan(nailFlight(8, 60, 60, 22).exitHeight)
    expect(nailFlight(8, 55, 60, 22).exitHeight).toBeGreaterThan(nailFlight(8, 60, 60, 22).exitHeight)
  })
})

describe('the exit', () => {
  it('lies on the face of the wall: inward of its ground edge by height over the tangent of the wall', () => {
    const { nails, foot } = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
    const outline = footOutline(foot)
    for (const { exit, exitHeight, footStation } of nails) {
      const wall = placeAt(outline.track, nearestStation(outline.track, exit)).point
      const angle = wallAngleAt(foot, outline, footStation)
      expect(distance(exit, wall)).toBeCloseTo(exitHeight / Math.tan((angle * Math.PI) / 180), 1)
      // Inward: nearer to the middle of the foot than the edge it started from.
      const middle: Vec = [0, -20]
      expect(distance(exit, middle)).toBeLessThan(distance(wall, middle))
    }
  })
})

describe('judge', () => {
  const foot = { wallThickness: 10, whiteLineWidth: 3 }
  it.each([
    [10, 'sound'],
    [11.4, 'sound'],
    [11.6, 'close'],
    [13, 'close'],
    [13.1, 'would-prick'],
    [5.9, 'low'],
    [6.1, 'sound'],
    [0, 'misses'],
    [-2, 'misses'],
  ])('a nail %d mm deep in a 10 mm wall with a 3 mm white line: %s', (deepest, verdict) => {
    expect(judge(foot, deepest, { height: 20, wall: 60 }).verdict).toBe(verdict)
  })

  it.each([
    [9, 60, 'too-low'],
    [12, 60, 'sound'],
    [44, 60, 'sound'],
    [46, 60, 'too-high'],
    [60, 60, 'never-out'],
  ])('a nail in good wall that comes out at %d mm of %d: %s', (height, wall, verdict) => {
    expect(judge(foot, 10, { height, wall }).verdict).toBe(verdict)
  })
})

describe('resolveNails', () => {
  it('drives six in eight holes unless told otherwise', () => {
    expect(resolveNails(undefined)).toEqual({
      lateral: { holes: 4, driven: [1, 2, 3], each: [] },
      medial: { holes: 4, driven: [1, 2, 3], each: [] },
      school: 'sound',
    })
    expect(resolveNails({ lateral: { driven: [4, 1, 1] } }).lateral.driven).toEqual([1, 4])
    expect(resolveNails({ lateral: [2, 1] }).lateral).toEqual({ holes: 4, driven: [1, 2], each: [] })
    expect(resolveNails({ medial: { holes: 2 } }).medial.driven).toEqual([1, 2])
  })

  it('refuses a nail where there is no hole', () => {
    expect(
      checkNails(resolveNails({ lateral: { holes: 4, driven: [5] }, medial: { holes: 9, driven: [] } })).map(
        (p) => p.path,
      ),
    ).toEqual(['shoe.nails.lateral.driven', 'shoe.nails.medial.holes'])
  })
})
