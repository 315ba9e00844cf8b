import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Vec } from '../geometry/vector'
import { planShoe } from '../plan/plan'

/** How far a line turns from one of its pieces to the next at most, radians. */
const sharpest = (line: readonly Vec[]): number => {
  const ways = line.slice(1).map(([x, y], i) => Math.atan2(y - line[i]![1], x - line[i]![0]))
  return Math.max(
    ...ways
      .slice(1)
      .map((way, i) => Math.abs(Math.atan2(Math.sin(way - ways[i]!), Math.cos(way - ways[i]!)))),
  )
}

describe('branches behind the buttress', () => {
  it('run on without a knot where a small foot turns in sharply and the rim stands far out', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 130, noNaN: true }),
        fc.double({ min: 0.56, max: 0.8, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.double({ min: 5, max: 25, noNaN: true }),
        (width, heels, spread, heelLength) => {
          const { outline } = planShoe(
            {
              ...{ side: 'LH', width, length: width * 0.92, heelWidth: width * heels },
              ...{ toeAngle: 55, wallThickness: 7, quarterShape: 0.9 },
            },
            {
              section: { shape: 'half-round', width: 19.05, thickness: 7, material: 'steel' },
              fit: { spread, heelLength, behind: 'straight back' },
              nails: { school: 'laminitic' },
              modifications: [],
            },
          )
          for (const line of [outline.outer, outline.inner, outline.centreline])
            expect(sharpest(line)).toBeLessThan(0.6)
        },
      ),
      { numRuns: 60 },
    )
  })
})
