import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planeArea } from './plane-area'
import { union } from './union'
import type { Vec } from './vector'

const box = (x: number, y: number, width: number, height: number): Vec[] => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
]
const signed = (ring: readonly Vec[]): number =>
  ring.reduce((sum, [x, y], i) => {
    const [nx, ny] = ring[(i + 1) % ring.length]!
    return sum + (x * ny - nx * y) / 2
  }, 0)

describe('union', () => {
  it('makes one outline of two that overlap or touch, whichever way they run', () => {
    expect(union([box(0, 0, 10, 10), box(5, 5, 10, 10).reverse()])).toHaveLength(1)
    expect(union([box(0, 0, 10, 10), box(10, 0, 10, 10)])).toHaveLength(1)
    expect(union([box(0, 0, 10, 10), box(12, 0, 10, 10)])).toHaveLength(2)
  })

  it('leaves a hole where they close round one', () => {
    const rings = union([box(0, 0, 10, 2), box(0, 8, 10, 2), box(0, 0, 2, 10), box(8, 0, 2, 10)])
    expect(rings.map(signed).map(Math.sign).sort()).toEqual([-1, 1])
    expect(rings.reduce((sum, ring) => sum + signed(ring), 0)).toBeCloseTo(64, 2)
  })

  it('covers what two boxes cover together: both, less what they share', () => {
    const side = fc.double({ min: 1, max: 30, noNaN: true })
    const at = fc.double({ min: 0, max: 20, noNaN: true })
    fc.assert(
      fc.property(side, side, side, side, at, at, (w, h, v, k, x, y) => {
        const shared = Math.max(0, Math.min(w, x + v) - x) * Math.max(0, Math.min(h, y + k) - y)
        const covered = union([box(0, 0, w, h), box(x, y, v, k)]).reduce((sum, ring) => sum + signed(ring), 0)
        const apart = planeArea(box(0, 0, w, h)).area + planeArea(box(x, y, v, k)).area
        expect(covered).toBeCloseTo(apart - shared, 0)
      }),
    )
  })
})
