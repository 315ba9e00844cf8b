import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Vec } from '../geometry/vector'
import { pattern, anyBend } from '../testing/farriers'
import { bent, heelMoves, type Bend } from './bend'
import { centrelineOf, pointAt, stationOf, type Centreline } from './centreline'
import { HALVES } from '../terms/half'

describe('a bend', () => {
  it('keeps the length of the bar, and moves nothing ahead of it', () => {
    fc.assert(
      fc.property(fc.array(anyBend, { minLength: 1, maxLength: 5 }), (bends) => {
        const line = bends.reduce(bent, pattern)
        // A bend between two points cuts no corner off: each is turned about a place on the line between them.
        const ahead = Math.min(...bends.map(({ fromToe }) => fromToe))
        pattern.points.forEach((point, i) => {
          if (Math.abs(pattern.stations[i]! - pattern.toe) < ahead) expect(line.points[i]).toEqual(point)
        })
        for (const bend of bends) {
          const station = stationOf(pattern, bend.branch, bend.fromToe)
          const once = bent(pattern, bend)
          const pivot = pointAt(pattern, station)
          once.points.forEach(([x, y], i) => {
            const [a, b] = pattern.points[i]!
            expect(Math.hypot(x - pivot[0], y - pivot[1])).toBeCloseTo(
              Math.hypot(a - pivot[0], b - pivot[1]),
              9,
            )
          })
        }
      }),
      { numRuns: 60 },
    )
  })

  it('opens outward on either branch, and moves the heel by its arm', () => {
    for (const branch of HALVES) {
      const bend: Bend = { branch, fromToe: 60, angle: 5 }
      const end = (line: Centreline) => line.points[branch === 'lateral' ? 0 : line.points.length - 1]!
      const outward = branch === 'lateral' ? 1 : -1
      expect((end(bent(pattern, bend))[0] - end(pattern)[0]) * outward).toBeGreaterThan(4)
      const [a, b] = [end(bent(pattern, bend)), end(pattern)]
      expect(heelMoves(pattern, bend)).toBeCloseTo(Math.hypot(a[0] - b[0], a[1] - b[1]), 6)
      // In a mirror, as the other foot is drawn, it opens outward too.
      const mirrored = centrelineOf(pattern.points.map(([x, y]): Vec => [-x, y]))
      expect((end(bent(mirrored, bend))[0] - end(mirrored)[0]) * outward).toBeLessThan(-4)
    }
  })

  it('widens a shoe as integrating its direction along it says', () => {
    // Independent: the line laid down step by step from the toe by its turning angles, the bend added to them.
    const bend: Bend = { branch: 'medial', fromToe: 50, angle: 6 }
    const from = pattern.points.findIndex((_, i) => pattern.stations[i]! >= pattern.toe)
    let [x, y] = pattern.points[from]!
    let at = pattern.stations[from]! - pattern.toe
    for (let i = from; i + 1 < pattern.points.length; i++) {
      const [a, b] = [pattern.points[i]!, pattern.points[i + 1]!]
      const step = Math.hypot(b[0] - a[0], b[1] - a[1])
      const way = Math.atan2(b[1] - a[1], b[0] - a[0])
      const parts = 50
      for (let k = 0; k < parts; k++) {
        at += step / parts
        const turned = way + (at - step / parts / 2 > 50 ? (-6 * Math.PI) / 180 : 0)
        x += (Math.cos(turned) * step) / parts
        y += (Math.sin(turned) * step) / parts
      }
    }
    const end = bent(pattern, bend).points.at(-1)!
    expect(Math.hypot(end[0] - x, end[1] - y)).toBeLessThan(0.02)
  })
})
