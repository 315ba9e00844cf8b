import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { figureAlong } from './figure-along'
import { segmentAt } from './segment-at'
import { nearestStation, placeAt, rightOf, sliceTrack, track, trackLength } from './track'
import type { Vec } from './vector'

const R = 60
/** Three quarters of a circle about the origin, walked counter-clockwise in 3 mm steps. */
const END = 1.5 * Math.PI
const at = (angle: number): Vec => [R * Math.cos(angle), R * Math.sin(angle)]
const angles = Array.from({ length: 95 }, (_, i) => (END * i) / 94)
const circle = track(
  angles.map(at),
  angles.map((a): Vec => [-Math.sin(a), Math.cos(a)]),
)

describe('a track', () => {
  it('is as long as its curve, and its places lie on it', () => {
    expect(trackLength(circle)).toBeCloseTo(R * END, 5)
    for (let s = 1; s < R * END; s += 7.3) {
      const { point, tangent } = placeAt(circle, s)
      expect(Math.hypot(...point)).toBeCloseTo(R, 4)
      expect(point[0] * tangent[0] + point[1] * tangent[1]).toBeCloseTo(0, 2)
    }
  })

  it('is nearest where the ray from the circle’s middle meets it, to a thousandth of a millimetre', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: END - 0.05, noNaN: true }),
        fc.double({ min: 25, max: 110, noNaN: true }),
        (angle, radius) => {
          const target: Vec = [radius * Math.cos(angle), radius * Math.sin(angle)]
          expect(Math.abs(nearestStation(circle, target) - R * angle)).toBeLessThan(1e-3)
        },
      ),
    )
  })

  it('what is outside lies to its right, by as much as it stands off', () => {
    const place = placeAt(circle, 100)
    const out = (by: number): Vec => [place.point[0] * (1 + by / R), place.point[1] * (1 + by / R)]
    expect(rightOf(place, out(7))).toBeCloseTo(7, 3)
    expect(rightOf(place, out(-4))).toBeCloseTo(-4, 3)
  })

  it('goes on straight beyond its ends when it is sliced there', () => {
    const longer = sliceTrack(circle, -10, 20)
    expect(trackLength(longer)).toBeCloseTo(30, 6)
    expect(longer.points[0]![0]).toBeCloseTo(R, 6)
    expect(longer.points[0]![1]).toBeCloseTo(-10, 6)
  })
})

describe('a figure along stations', () => {
  const rising = fc
    .uniqueArray(fc.integer({ min: 0, max: 400 }), { minLength: 1, maxLength: 12 })
    .map((list) => [...list].sort((a, b) => a - b))

  it('is straight between them and level beyond, as a plain walk finds it', () => {
    fc.assert(
      fc.property(rising, fc.double({ min: -50, max: 450, noNaN: true }), (stations, where) => {
        const figures = stations.map((s) => Math.sin(s) * 10)
        const next = stations.findIndex((s) => s >= where)
        const [a, b] = [stations[next - 1], stations[next]]
        const wanted =
          b === undefined
            ? figures.at(-1)!
            : a === undefined
              ? figures[0]!
              : figures[next - 1]! + ((figures[next]! - figures[next - 1]!) * (where - a)) / (b - a)
        expect(figureAlong(stations, figures, where)).toBeCloseTo(wanted, 9)
      }),
    )
  })

  it('at a step takes the figure behind it', () => {
    expect(figureAlong([0, 5, 5, 9], [1, 1, 3, 3], 5)).toBe(3)
    expect(figureAlong([4], [7], 4)).toBe(7)
  })

  it('the segment of a station is the last that begins before it', () => {
    fc.assert(
      fc.property(rising, fc.integer({ min: -5, max: 405 }), (stations, where) => {
        const found = stations.findLastIndex((s) => s <= where)
        const wanted = Math.min(Math.max(0, found), Math.max(0, stations.length - 2))
        expect(segmentAt(stations, where)).toBe(wanted)
      }),
    )
  })
})
