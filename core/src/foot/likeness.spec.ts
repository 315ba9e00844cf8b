import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { rotated, type Vec } from '../geometry/vector'
import { anyFoot } from '../testing/any-foot'
import { readFoot } from './measurements'
import { footOutline, type FootOutline } from './outline'
import { differencesByRegion, likeness, nearestShapes, SHAPE_PLACES, shapeOf } from './likeness'

function outlineOf(input: unknown): FootOutline | undefined {
  const read = readFoot(input as never)
  return read.ok ? footOutline(read.value.foot) : undefined
}
const feet = fc.sample(anyFoot, { numRuns: 400, seed: 12 }).flatMap((input) => outlineOf(input) ?? [])
const moved = (points: readonly Vec[], by: number, [x, y]: Vec, scale = 1): Vec[] =>
  points.map((point): Vec => {
    const [a, b] = rotated(point, by)
    return [a * scale + x, b * scale + y]
  })
const mirror = (points: readonly Vec[]): Vec[] => points.map(([x, y]): Vec => [-x, y]).reverse()
const listOf = (outlines: readonly (readonly Vec[])[]) => {
  const all = new Float32Array(outlines.length * 2 * SHAPE_PLACES)
  outlines.forEach((points, i) => all.set(shapeOf(points), i * 2 * SHAPE_PLACES))
  return all
}

describe('how like two outlines are', () => {
  it('is nothing for the same outline, however it is turned, moved or mirrored', () => {
    for (const { track } of feet.slice(0, 40)) {
      const one = shapeOf(track.points)
      expect(likeness(one, shapeOf(moved(track.points, 0.7, [40, -9]))).distance).toBeLessThan(0.01)
      const other = likeness(one, shapeOf(mirror(moved(track.points, -0.4, [3, 5]))))
      expect(other.distance).toBeLessThan(0.01)
    }
  })

  it('is the distance of least squares: no other turn brings them nearer, by trying them all', () => {
    const [a, b] = [shapeOf(feet[0]!.track.points), shapeOf(feet[1]!.track.points)]
    const { distance, mirrored } = likeness(a, b)
    const other = mirrored ? shapeOf(mirror(feet[1]!.track.points)) : b
    let nearest = Infinity
    for (let turn = -0.5; turn <= 0.5; turn += 0.0005) {
      let sum = 0
      for (let i = 0; i < a.length; i += 2) {
        const [x, y] = rotated([other[i]!, other[i + 1]!], turn)
        sum += (x - a[i]!) ** 2 + (y - a[i + 1]!) ** 2
      }
      nearest = Math.min(nearest, Math.sqrt(sum / SHAPE_PLACES))
    }
    expect(distance).toBeCloseTo(nearest, 3)
  })
})

it('a record without an outline is like nothing, and no fault', () => {
  expect([...shapeOf([])].every((value) => value === 0)).toBe(true)
  expect(likeness(shapeOf(feet[0]!.track.points), shapeOf([])).distance).toBeGreaterThan(40)
})

describe('the nearest of a library', () => {
  const library = listOf(feet.map(({ track }) => track.points))

  it('is found first: the same pattern mirrored, turned and larger by a hundredth', () => {
    for (const at of [3, 57, 120, 240]) {
      const asked = mirror(moved(feet[at]!.track.points, 0.3, [12, 8], 1.01))
      const [first] = nearestShapes(shapeOf(asked), library, 5)
      expect(first!.at).toBe(at)
      expect(first!.distance).toBeLessThan(1.2)
    }
  })

  it('are those that sorting all of them puts first', () => {
    const asked = shapeOf(feet[9]!.track.points.map(([x, y]): Vec => [x * 1.03, y]))
    const all = feet
      .map((_, at) => ({ at, ...likeness(asked, library, at * 2 * SHAPE_PLACES) }))
      .sort((a, b) => a.distance - b.distance)
    expect(nearestShapes(asked, library, 12).map(({ distance }) => distance)).toEqual(
      all.slice(0, 12).map(({ distance }) => distance),
    )
  })
})

describe('differences by region', () => {
  it('are a millimetre everywhere for a foot that is a millimetre smaller all round, however it lies', () => {
    const [foot] = feet
    const { points, tangents } = foot!.track
    const smaller = points.map(([x, y], i): Vec => [x - tangents[i]![1], y + tangents[i]![0]])
    for (const mirrored of [false, true]) {
      const lying = moved(mirrored ? mirror(smaller) : smaller, 0.25, [30, 4])
      // Open behind, its middle lies a little further forward: the heels feel it.
      for (const { mean } of differencesByRegion(foot!, lying, mirrored)) {
        expect(mean).toBeGreaterThan(0.5)
        expect(mean).toBeLessThan(1.5)
      }
    }
  })
})
