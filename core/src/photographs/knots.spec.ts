import { expect, it } from 'vitest'
import { distance, type Vec } from '../geometry/vector'
import { nearestAlong } from '../geometry/walked'
import { asOnFoot, middleOfWeb } from './middle-of-web'
import { knotsOf, lineThrough, withKnot, withoutKnot } from './knots'

const circle = Array.from({ length: 360 }, (_, i): Vec => [
  70 * Math.cos((i * Math.PI) / 180),
  70 * Math.sin((i * Math.PI) / 180),
])
const knots = knotsOf(circle, [-70, 0])

it('knots go from the first heel to the other, and the line through them is the outline', () => {
  expect(knots[0]).toEqual(circle[0])
  expect(distance(knots.at(-1)!, [-70, 0])).toBeLessThan(1e-6)
  for (const point of lineThrough(knots)) expect(Math.abs(Math.hypot(...point) - 70)).toBeLessThan(0.05)
})

it('one more lies where it was put, between its neighbours; one less leaves the ends', () => {
  for (let i = 1; i < 180; i += 7) {
    const place: Vec = [72 * Math.cos((i * Math.PI) / 180), 72 * Math.sin((i * Math.PI) / 180)]
    const { knots: more, at } = withKnot(knots, place)
    expect(more[at]).toEqual(place)
    // Between its neighbours: the line does not turn back.
    const [before, after] = [more[at - 1]!, more[at + 1]!].map(([x, y]) => Math.atan2(y, x))
    expect(before!).toBeLessThan((i * Math.PI) / 180 + 1e-9)
    expect(after!).toBeGreaterThan((i * Math.PI) / 180 - 1e-9)
  }
  expect(withoutKnot(knots, 0)).toEqual(knots)
  expect(withoutKnot(knots, knots.length - 1)).toEqual(knots)
  expect(nearestAlong(withoutKnot(knots, 5), knots[5]!).off).toBeGreaterThan(0.1)
  expect(withoutKnot(knots.slice(0, 7), 3)).toHaveLength(7)
})

it('the middle of a web lies between its rims, and lies as on the foot whichever face was up', () => {
  const rim = (radius: number, turn: 1 | -1) =>
    Array.from({ length: 90 }, (_, i): Vec => [
      turn * radius * Math.cos(((i * 3 - 45) * Math.PI) / 180),
      radius * Math.sin(((i * 3 - 45) * Math.PI) / 180),
    ])
  const middle = middleOfWeb(rim(70, 1), rim(48, 1))
  for (const point of middle) expect(Math.hypot(...point)).toBeCloseTo(59, 0)
  expect(asOnFoot(middle)).toEqual(middle)
  const over = asOnFoot(middleOfWeb(rim(70, -1), rim(48, -1)))
  over.forEach((point, i) => expect(distance(point, middle[i]!)).toBeLessThan(1e-9))
})
