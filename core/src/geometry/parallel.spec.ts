import {
  areaD,
  EndType,
  FillRule,
  inflatePaths,
  inflatePathsD,
  intersectD,
  JoinType,
  type PathsD,
} from 'clipper2-ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arc } from './arc'
import { cubic } from './cubic'
import { ellipsePerimeter } from '../testing/ellipse-perimeter'
import { line } from './line'
import { parallel } from './parallel'
import { path } from './path'
import { planeArea } from './plane-area'
import { nearestStation, placeAt, sliceTrack, track, trackCurve, trackLength } from './track'
import { distance, type Vec } from './vector'

const ellipse = (a: number, b: number) =>
  trackCurve(arc({ centre: [0, 0], radii: [a, b], start: -90, sweep: 360 }), 720)

describe('track', () => {
  it('measures an ellipse to 1e-6 at hoof-like steps', () => {
    const coarse = trackCurve(arc({ centre: [0, 0], radii: [63.5, 55], start: 0, sweep: 360 }), 160)
    expect(Math.abs(trackLength(coarse) / ellipsePerimeter(63.5, 55) - 1)).toBeLessThan(1e-6)
  })

  it('finds places, slices and goes on straight beyond its ends', () => {
    const quarter = trackCurve(arc({ centre: [0, 0], radii: [50, 50], start: 0, sweep: 90 }), 40)
    const half = trackLength(quarter) / 2
    expect(distance(placeAt(quarter, half).point, [50 * Math.SQRT1_2, 50 * Math.SQRT1_2])).toBeLessThan(1e-6)
    expect(placeAt(quarter, -10).point).toEqual([50, -10])
    expect(nearestStation(quarter, [70, 70])).toBeCloseTo(half, 6)
    expect(trackLength(sliceTrack(quarter, 10, 40))).toBeCloseTo(30, 6)
    expect(trackLength(sliceTrack(quarter, -5, half))).toBeCloseTo(half + 5, 6)
  })
})

describe('parallel', () => {
  it.each([
    [63.5, 55, 10],
    [65, 60, 19.05],
  ])('keeps Steiner: ellipse %d x %d moved by %d', (a, b, d) => {
    const source = ellipse(a, b)
    const perimeter = ellipsePerimeter(a, b)
    const area = Math.PI * a * b
    const inward = parallel(source, -d)
    expect(trackLength(inward)).toBeCloseTo(perimeter - 2 * Math.PI * d, 4)
    expect(planeArea(inward.points).area / (area - perimeter * d + Math.PI * d * d)).toBeCloseTo(1, 4)
    const outward = parallel(source, d)
    expect(trackLength(outward)).toBeCloseTo(perimeter + 2 * Math.PI * d, 4)
    expect(planeArea(outward.points).area / (area + perimeter * d + Math.PI * d * d)).toBeCloseTo(1, 4)
  })

  it('lies at its distance from the source everywhere, even where a long reach would fold', () => {
    // The tightest radius of this ellipse is 30^2 / 70 = 12.9 mm: a parallel 25 mm inside folds at both ends.
    const source = ellipse(30, 70)
    const inward = parallel(source, -25)
    for (const p of inward.points) {
      const nearest = placeAt(source, nearestStation(source, p)).point
      expect(distance(p, nearest)).toBeGreaterThan(25 - 1e-2)
    }
    // The library offsets whole numbers, so it works in hundred-thousandths of a millimetre here.
    const fine = 1e5
    const ring = source.points
      .slice(1)
      .map(([x, y]) => ({ x: Math.round(x * fine), y: Math.round(y * fine) }))
    const clipped = inflatePaths([ring], -25 * fine, JoinType.Round, EndType.Polygon)
    const theirs = planeArea(clipped[0]!.map(({ x, y }): Vec => [x / fine, y / fine])).area
    expect(Math.abs(planeArea(inward.points).area / theirs - 1)).toBeLessThan(5e-4)
  })

  it('cuts the corner off where two branches meet', () => {
    // A narrow U: moved inward by more than half its width, only the legs beyond the meeting remain clear.
    const u = trackCurve(
      path([
        line([10, -100], [10, 0]),
        arc({ centre: [0, 0], radii: [10, 10], start: 0, sweep: 180 }),
        line([-10, 0], [-10, -100]),
      ]),
      50,
    )
    const inside = parallel(u, -8)
    expect(trackLength(inside)).toBeCloseTo(200 + 2 * Math.PI, 2)
    expect(trackLength(parallel(u, -12))).toBe(0)
  })

  it('ends where it turns back: a fold at an end crosses nothing, by hand', () => {
    // 80 mm straight on, and at either end an arc of 5 mm: 12 mm inside it the arc runs backward.
    const hooked = trackCurve(
      path([
        arc({ centre: [0, 5], radii: [5, 5], start: 210, sweep: 60 }),
        line([0, 0], [80, 0]),
        arc({ centre: [80, 5], radii: [5, 5], start: 270, sweep: 60 }),
      ]),
      40,
    )
    const inside = parallel(hooked, -12)
    expect(trackLength(inside)).toBeCloseTo(80, 6)
    expect(inside.points[0]).toEqual([expect.closeTo(0, 6), expect.closeTo(12, 6)])
    expect(inside.points.at(-1)).toEqual([expect.closeTo(80, 6), expect.closeTo(12, 6)])
  })

  /** RIMS=20000 looks as long as one likes. */
  const RIMS = Number(process.env['RIMS'] ?? 400)

  /** A random rim, walked as a foot is: half axes, how full it is, how far it closes toward the heels. */
  const anyRim = fc
    .record({
      a: fc.double({ min: 30, max: 90, noNaN: true }),
      b: fc.double({ min: 25, max: 90, noNaN: true }),
      lean: fc.double({ min: -15, max: 15, noNaN: true }),
      back: fc.double({ min: 20, max: 90, noNaN: true }),
      heels: fc.double({ min: 0.4, max: 1.1, noNaN: true }),
      full: fc.double({ min: 0.35, max: 0.75, noNaN: true }),
    })
    .map(({ a, b, lean, back, heels, full }) =>
      trackCurve(
        path([
          cubic([a * heels, -back], [a * heels, -back * 0.6], [a, -back * 0.4], [a, 0]),
          cubic([a, 0], [a, b * full], [a * full, b + lean], [0, b]),
          cubic([0, b], [-a * full, b - lean], [-a, b * full], [-a, 0]),
          cubic([-a, 0], [-a, -back * 0.4], [-a * heels, -back * 0.6], [-a * heels, -back]),
        ]),
        30,
      ),
    )

  /** A height at which no rim has a corner: the library stumbles over them. */
  const LINE = 0.7654
  /** Area of what lies ahead of that line, by the library, mm2. */
  const aheadArea = (paths: PathsD): number => {
    if (paths.every((one) => one.length < 3)) return 0
    const half: PathsD = [
      [-500, 500].flatMap((x) => (x < 0 ? [LINE, 500] : [500, LINE]).map((y) => ({ x, y, z: 0 }))),
    ]
    return intersectD(paths, half, FillRule.NonZero, 5).reduce((sum, one) => sum + Math.abs(areaD(one)), 0)
  }
  const pathD = (points: readonly Vec[]) => points.map(([x, y]) => ({ x, y, z: 0 }))

  it('bounds what a polygon library leaves, over random rims, however it folds', () =>
    fc.assert(
      fc.property(anyRim, fc.double({ min: 3, max: 45, noNaN: true }), (source, inset) => {
        // The heels are carried far back, so that the library's own closing line stays out of it.
        const whole = sliceTrack(source, -400, trackLength(source) + 400)
        const ours = aheadArea([pathD(parallel(whole, -inset).points)])
        const drawnIn = inflatePathsD([pathD(whole.points)], -inset, JoinType.Round, EndType.Polygon, 2, 5)
        const expected = aheadArea(drawnIn)
        // Where the rim pinches off a sliver its chords count; a branch that is lost counts hundreds.
        expect(Math.abs(ours - expected)).toBeLessThan(Math.max(20, expected * 4e-3))
      }),
      { numRuns: RIMS },
    ))

  it('never jumps: a little more reach takes a little more away', () =>
    fc.assert(
      fc.property(anyRim, fc.double({ min: 3, max: 45, noNaN: true }), (source, inset) => {
        const area = (by: number) => planeArea(parallel(source, -by).points).area
        const more = area(inset) - area(inset + 0.001)
        // A band as wide as the step all along the line, and a little for where it ends.
        expect(Math.abs(more)).toBeLessThan(0.001 * (trackLength(source) + 60) + 0.05)
      }),
      { numRuns: 400 },
    ))

  it('follows a reach that varies', () => {
    const straight = trackCurve(line([0, 0], [0, 100]), 50)
    const sloped = parallel(straight, (s) => s / 10)
    expect(sloped.points[50]).toEqual([10, 100])
    expect(trackLength(sloped)).toBeCloseTo(Math.hypot(100, 10), 6)
    expect(sloped.tangents[20]![0]).toBeCloseTo(Math.sin(Math.atan(0.1)), 9)
  })
})

describe('region', () => {
  it('knows the rectangle wherever it lies', () => {
    const { area, centroid, secondMoments } = planeArea([
      [1000, 500],
      [1040, 500],
      [1040, 530],
      [1000, 530],
    ])
    expect(area).toBe(1200)
    expect(centroid).toEqual([1020, 515])
    expect(secondMoments.xx).toBeCloseTo((40 * 30 ** 3) / 12, 6)
    expect(secondMoments.yy).toBeCloseTo((30 * 40 ** 3) / 12, 6)
    expect(secondMoments.xy).toBeCloseTo(0, 6)
  })

  it('knows the triangle, either way round', () => {
    const corners: Vec[] = [
      [0, 0],
      [30, 0],
      [0, 60],
    ]
    for (const boundary of [corners, [...corners].reverse()]) {
      const { area, centroid, secondMoments } = planeArea(boundary)
      expect(area).toBe(900)
      expect(centroid[0]).toBeCloseTo(10, 9)
      expect(centroid[1]).toBeCloseTo(20, 9)
      // b h^3 / 36 about the base direction, and -b^2 h^2 / 72 for the product (textbook).
      expect(secondMoments.xx).toBeCloseTo((30 * 60 ** 3) / 36, 6)
      expect(secondMoments.xy).toBeCloseTo(-(30 ** 2 * 60 ** 2) / 72, 6)
    }
  })

  it('approaches the ellipse', () => {
    const { area, secondMoments } = planeArea(ellipse(63.5, 55).points)
    expect(area / (Math.PI * 63.5 * 55)).toBeCloseTo(1, 4)
    expect(secondMoments.xx / ((Math.PI / 4) * 63.5 * 55 ** 3)).toBeCloseTo(1, 4)
  })

  it('is empty for a line', () =>
    expect(
      planeArea([
        [1, 1],
        [2, 2],
      ]).area,
    ).toBe(0))
})

it('a track of one place has no length', () => expect(trackLength(track([[1, 1]], [[1, 0]]))).toBe(0))
