import fc from 'fast-check'
import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import { describe, expect, it } from 'vitest'
import type { Vec } from '../geometry/vector'
import { acrossEach, lengthOf, steepness } from './drawn-line'
import { fromToe } from './from-toe'
import { laidAt, laidOver } from './laid-over'

const number = fc.double({ min: -2000, max: 2000, noNaN: true })
const places = fc
  .array(fc.tuple(number, number), { minLength: 3, maxLength: 8 })
  .filter((all) => all.some(([x, y]) => Math.hypot(x - all[0]![0], y - all[0]![1]) > 50))
const off = (a: Vec, b: Vec) => Math.hypot(a[0] - b[0], a[1] - b[1])

describe('a picture laid over another', () => {
  const carried = (turn: number, size: number, by: Vec) => (place: Vec) =>
    laidAt({ turn: [size * Math.cos(turn), size * Math.sin(turn)], by }, place)

  it('finds turn, size and place again, whatever they were', () => {
    fc.assert(
      fc.property(
        places,
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        number,
        (all, turn, size, x) => {
          const onto = all.map(carried(turn, size, [x, -x]))
          for (const laid of [laidOver(all, onto)!, laidOver(all, onto, size)!]) {
            expect(laid.off).toBeLessThan(1e-6)
            all.forEach((place, i) => expect(off(laidAt(laid, place), onto[i]!)).toBeLessThan(1e-6))
            expect(Math.hypot(...laid.turn)).toBeCloseTo(size, 6)
          }
        },
      ),
    )
  })

  it('turns as a singular value decomposition does where nothing fits exactly (Kabsch)', () => {
    fc.assert(
      fc.property(places, fc.infiniteStream(fc.double({ min: -30, max: 30, noNaN: true })), (all, noise) => {
        const onto = all
          .map(carried(0.4, 1, [30, 5]))
          .map(([x, y]): Vec => [x + noise.next().value!, y + noise.next().value!])
        const middle = (points: readonly Vec[]) =>
          [0, 1].map((axis) => points.reduce((sum, p) => sum + p[axis]!, 0) / points.length)
        const centred = (points: readonly Vec[]) => {
          const [mx, my] = middle(points) as [number, number]
          return new Matrix(points.map(([x, y]) => [x - mx, y - my]))
        }
        const svd = new SingularValueDecomposition(centred(all).transpose().mmul(centred(onto)))
        const flip =
          Math.sign(
            svd.rightSingularVectors.get(0, 0) * svd.rightSingularVectors.get(1, 1) -
              svd.rightSingularVectors.get(0, 1) * svd.rightSingularVectors.get(1, 0),
          ) *
          Math.sign(
            svd.leftSingularVectors.get(0, 0) * svd.leftSingularVectors.get(1, 1) -
              svd.leftSingularVectors.get(0, 1) * svd.leftSingularVectors.get(1, 0),
          )
        const turn = svd.rightSingularVectors
          .mmul(Matrix.diag([1, flip]))
          .mmul(svd.leftSingularVectors.transpose())
        const laid = laidOver(all, onto, 1)!
        // Points nearly on one line through their middle turn either way: nothing is claimed of them.
        fc.pre(svd.diagonal[0]! - svd.diagonal[1]! > 1e-3 && svd.diagonal[0]! > 2000)
        expect(laid.turn[0]).toBeCloseTo(turn.get(0, 0), 6)
        expect(laid.turn[1]).toBeCloseTo(turn.get(1, 0), 6)
      }),
    )
  })

  it('says how far apart the places still lie: of two at a known scale half of what the lines differ', () => {
    const laid = laidOver(
      [
        [0, 0],
        [10, 0],
      ],
      [
        [0, 0],
        [14, 0],
      ],
      1,
    )!
    expect(laid.off).toBeCloseTo(2, 9)
    expect(laidAt(laid, [0, 0])).toEqual([2, 0])
    expect(laidOver([[0, 0]], [[1, 1]])).toBeUndefined()
    expect(
      laidOver(
        [
          [3, 3],
          [3, 3],
        ],
        [
          [1, 1],
          [2, 2],
        ],
      ),
    ).toBeUndefined()
  })
})

describe('a line drawn on a photograph', () => {
  it('stands as steep as it is seen, whichever way it was drawn', () => {
    // 3, 4, 5: y counts down in a picture.
    expect(
      steepness([
        [0, 40],
        [30, 0],
      ]),
    ).toBeCloseTo(53.130102, 5)
    expect(
      steepness([
        [30, 0],
        [0, 40],
      ]),
    ).toBeCloseTo(53.130102, 5)
    expect(
      steepness([
        [0, 0],
        [30, 40],
      ]),
    ).toBeCloseTo(53.130102, 5)
    expect(
      steepness([
        [5, 5],
        [5, 90],
      ]),
    ).toBeCloseTo(90, 9)
    expect(
      steepness([
        [5, 5],
        [5, 5],
      ]),
    ).toBeUndefined()
  })

  it('makes an angle with another, and is as long as its scale says', () => {
    const level = [
      [0, 0],
      [100, 0],
    ] as const
    expect(
      acrossEach(level, [
        [10, 10],
        [10, -40],
      ]),
    ).toBeCloseTo(90, 9)
    expect(
      acrossEach(
        [
          [0, 0],
          [100, -10],
        ],
        [
          [0, 0],
          [-100, -10],
        ],
      ),
    ).toBeCloseTo(2 * 5.710593, 5)
    expect(
      acrossEach(level, [
        [1, 1],
        [1, 1],
      ]),
    ).toBeUndefined()
    expect(
      lengthOf(
        [
          [0, 0],
          [30, 40],
        ],
        0.5,
      ),
    ).toBe(25)
  })
})

it('a place lies as far behind the toe as along the axis of the foot, however the foot is turned', () => {
  const outline: Vec[] = [
    [40, -60],
    [60, 0],
    [0, 70],
    [-60, 0],
    [-40, -60],
  ]
  expect(fromToe(outline, [1, 71], [8, 20])).toBeCloseTo(50, 0)
  const turned = (p: Vec): Vec => [p[1] + 7, -p[0] + 3]
  expect(fromToe(outline.map(turned), turned([0, 70]), turned([8, 20]))).toBeCloseTo(50, 9)
  expect(
    fromToe(
      [
        [1, 1],
        [1, 1],
      ],
      [1, 1],
      [0, 0],
    ),
  ).toBeUndefined()
})
