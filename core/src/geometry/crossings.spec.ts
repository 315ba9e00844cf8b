import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { selfCrossings } from './crossings'
import { integrate } from './quadrature'
import { cross, distance, dot, mix, turnRight, unit, type Vec } from './vector'

/** Every pair of segments, without the boxes: slow and plain. Undefined where one ends just on another. */
function everyPair(points: readonly Vec[]): number | undefined {
  let count = 0
  for (let i = 0; i + 1 < points.length; i++) {
    for (let j = i + 2; j + 1 < points.length; j++) {
      const side = (a: Vec, b: Vec, p: Vec) =>
        Math.sign(cross([b[0] - a[0], b[1] - a[1]], [p[0] - a[0], p[1] - a[1]]))
      const [a, b, c, d] = [points[i]!, points[i + 1]!, points[j]!, points[j + 1]!]
      const sides = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)] as const
      if (sides.includes(0)) return undefined
      if (sides[0] !== sides[1] && sides[2] !== sides[3]) count++
    }
  }
  return count
}

describe('selfCrossings', () => {
  it('finds the one crossing of a bow tie, at its place', () => {
    const [hit, ...others] = selfCrossings([
      [0, 0],
      [10, 10],
      [10, 0],
      [0, 10],
    ])
    expect(others).toEqual([])
    expect(hit).toMatchObject({ i: 0, j: 2, point: [5, 5] })
  })

  it('finds none on a curve that does not cross itself', () => {
    const arc = Array.from({ length: 90 }, (_, i): Vec => [Math.cos(i / 20), Math.sin(i / 20)])
    expect(selfCrossings(arc)).toEqual([])
  })

  it('finds as many as looking at every pair, for any scribble', () => {
    const coordinate = fc.integer({ min: -5000, max: 5000 })
    fc.assert(
      fc.property(fc.array(fc.tuple(coordinate, coordinate), { minLength: 4, maxLength: 60 }), (points) => {
        const expected = everyPair(points)
        fc.pre(expected !== undefined)
        expect(selfCrossings(points)).toHaveLength(expected)
      }),
    )
  })
})

describe('lines that rise once and fall once', () => {
  const steps = fc.array(fc.tuple(fc.integer({ min: -40, max: 40 }), fc.integer({ min: -2, max: 30 })), {
    minLength: 2,
    maxLength: 25,
  })
  it('are searched as well where rise and fall may meet', () => {
    let met = 0
    fc.assert(
      fc.property(steps, steps, (up, down) => {
        const points: Vec[] = [[300, 0]]
        const on = ([dx, dy]: readonly [number, number], sign: number) => {
          const [x, y] = points[points.length - 1]!
          // A part of a step off the grid, so that ends do not lie on each other.
          points.push([x + dx - 6 + points.length * 0.013, y + sign * dy + 0.007])
        }
        for (const step of up) on(step, 1)
        for (const step of down) on(step, -1)
        const expected = everyPair(points)
        fc.pre(expected !== undefined)
        if (expected > 0) met++
        expect(selfCrossings(points)).toHaveLength(expected)
      }),
      { numRuns: 500, seed: 7 },
    )
    expect(met).toBeGreaterThan(20)
  })
})

describe('integrate', () => {
  it.each([
    ['a polynomial', (x: number) => 5 * x ** 4, 0, 2, 32],
    ['a wave', Math.sin, 0, Math.PI, 2],
    ['a sharp peak', (x: number) => 1 / (1e-4 + x * x), -1, 1, 200 * Math.atan(100)],
  ])('%s', (_name, f, from, to, exact) => expect(integrate(f, from, to) / exact).toBeCloseTo(1, 8))
})

describe('vectors', () => {
  it('turn right square and keep their length', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -9, max: 9, noNaN: true }),
        fc.double({ min: -9, max: 9, noNaN: true }),
        (x, y) => {
          const v: Vec = [x, y]
          expect(dot(v, turnRight(v))).toBeCloseTo(0, 9)
          expect(cross(v, turnRight(v))).toBeLessThanOrEqual(0)
        },
      ),
    )
    expect(unit([0, 0])).toEqual([0, 0])
    expect(mix([0, 0], [10, 20], 0.25)).toEqual([2.5, 5])
    expect(distance([1, 1], [4, 5])).toBe(5)
  })
})
