import { Bezier } from 'bezier-js'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arc } from './arc'
import { cubic } from './cubic'
import { nearestParameter, parameterAtLength } from '../testing/curve-search'
import { arcLength, curvature, tangent } from './curve'
import { ellipsePerimeter } from '../testing/ellipse-perimeter'
import { line } from './line'
import { path } from './path'
import { distance, type Vec } from './vector'

const ellipse = (a: number, b: number) => arc({ centre: [0, 0], radii: [a, b], start: 0, sweep: 360 })

const coordinate = fc.double({ min: -100, max: 100, noNaN: true })
const point = fc.tuple(coordinate, coordinate)

describe('curves with exact answers', () => {
  it('are as long backward as forward, counted the other way', () => {
    const quarter = arc({ centre: [0, 0], radii: [10, 10], start: 0, sweep: 90 })
    expect(arcLength(quarter, 1, 0.25)).toBeCloseTo(-arcLength(quarter, 0.25, 1), 9)
    expect(arcLength(quarter, 0.25, 1)).toBeCloseTo(10 * (Math.PI / 2) * 0.75, 6)
  })

  it('measures a straight line', () => {
    const straight = line([1, 2], [4, 6])
    expect(arcLength(straight)).toBeCloseTo(5, 12)
    expect(curvature(straight, 0.3)).toBe(0)
    expect(straight.point(nearestParameter(straight, [0, 0]))).toEqual([1, 2])
  })

  it('measures a 30-degree arc and a full circle', () => {
    const thirty = arc({ centre: [5, 5], radii: [60, 60], start: 10, sweep: 30 })
    expect(arcLength(thirty)).toBeCloseTo((60 * Math.PI) / 6, 9)
    expect(curvature(thirty, 0.7)).toBeCloseTo(1 / 60, 12)
    expect(arcLength(ellipse(60, 60))).toBeCloseTo(120 * Math.PI, 9)
  })

  it('turns right with negative curvature', () => {
    expect(curvature(arc({ centre: [0, 0], radii: [20, 20], start: 90, sweep: -45 }), 0.5)).toBeCloseTo(
      -1 / 20,
      12,
    )
  })

  it.each([
    [63.5, 55],
    [65, 60],
  ])('measures the ellipse %d x %d as the arithmetic-geometric mean does', (a, b) => {
    const exact = ellipsePerimeter(a, b)
    expect(Math.abs(arcLength(ellipse(a, b)) / exact - 1)).toBeLessThan(1e-6)
  })

  it('adds up over joined pieces and finds places by length', () => {
    const joined = path([
      line([0, 0], [0, 30]),
      arc({ centre: [-20, 30], radii: [20, 20], start: 0, sweep: 90 }),
    ])
    expect(arcLength(joined)).toBeCloseTo(30 + 10 * Math.PI, 9)
    expect(arcLength(joined, 1, 0)).toBeCloseTo(-30 - 10 * Math.PI, 9)
    const t = parameterAtLength(joined, 30)
    expect(distance(joined.point(t), [0, 30])).toBeLessThan(1e-6)
    expect(tangent(joined, 1)[0]).toBeCloseTo(-1, 9)
  })
})

describe('against a curve library', () => {
  it('agrees on length and curvature of any curve that bends as hooves do', () => {
    const share = fc.double({ min: 0.1, max: 0.9, noNaN: true })
    fc.assert(
      fc.property(share, share, share, share, share, (a, b, handle, other, t) => {
        const [w, h] = [100 * a, 100 * b]
        const points: Vec[] = [
          [w, 0],
          [w, h * handle],
          [w * other, h],
          [0, h],
        ]
        const ours = cubic(points[0]!, points[1]!, points[2]!, points[3]!)
        const theirs = new Bezier(points.map(([x, y]) => ({ x, y })))
        expect(ours.point(t)[0]).toBeCloseTo(theirs.get(t).x, 9)
        expect(Math.abs(arcLength(ours) / theirs.length() - 1)).toBeLessThan(1e-6)
        const { k } = (theirs as unknown as { curvature(t: number): { k: number } }).curvature(t)
        expect(Math.abs(curvature(ours, t) / k - 1)).toBeLessThan(1e-6)
      }),
      { numRuns: 60 },
    )
  })

  it('agrees on a hoof-like cubic to 1e-9', () => {
    const points: Vec[] = [
      [62, 0],
      [62, -29],
      [52, -50],
      [43, -68],
    ]
    const theirs = new Bezier(points.map(([x, y]) => ({ x, y })))
    expect(
      Math.abs(arcLength(cubic(points[0]!, points[1]!, points[2]!, points[3]!)) / theirs.length() - 1),
    ).toBeLessThan(1e-9)
  })

  it('finds a nearest point that no sample beats', () => {
    fc.assert(
      fc.property(point, (target) => {
        const curve = cubic([60, 0], [60, 33], [33, 60], [0, 60])
        const found = distance(curve.point(nearestParameter(curve, target)), target)
        for (let i = 0; i <= 500; i++) {
          expect(found).toBeLessThanOrEqual(distance(curve.point(i / 500), target) + 1e-9)
        }
      }),
      { numRuns: 50 },
    )
  })
})
