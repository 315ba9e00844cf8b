import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Vec } from '../geometry/vector'
import { lengthAlong, nearestAlong, pointAlong } from '../geometry/walked'
import { ProblemError } from '../notices/problem'
import { centrelineOfPlan } from './place-words'
import { anyPlan, requestOf, tryPlan } from '../testing/fuzz/any-plan'
import { pattern, scattered } from '../testing/farriers'
import { inMm } from '../testing/made'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { bent } from './bend'
import { TOLERANCE } from './bend-plan'
import { planBends } from './plan-bends'
import { throughPoints } from './through-points'

const target = { foot: FIVE_BY_FIVE, shoe: PLAIN_SHOE }
/** So many points of a line, evenly along it, exactly on it. */
const few = (points: readonly Vec[], count: number): Vec[] => {
  const long = lengthAlong(points)
  return Array.from({ length: count }, (_, i) => pointAlong(points, (long * i) / (count - 1)))
}

describe('a shoe by few points', () => {
  it.each([7, 8, 9, 10, 11, 12, 13, 20, 26, 40])('is its pattern where %i points lie on it', (count) => {
    const found = planBends(target, { points: few(pattern.points, count) })
    expect(found.bends).toEqual([])
    expect(found.within).toBe(true)
    expect(found.notes.map(inMm).join(' ')).not.toMatch(/wrong size/)
  })

  it('runs through them, and between them nearer to the shoe than its chords', () => {
    const knots = few(pattern.points, 9)
    const line = throughPoints(knots)
    for (const knot of knots) expect(nearestAlong(line, knot).off).toBeLessThan(0.05)
    const furthest = (of: readonly Vec[]) =>
      Math.max(...pattern.points.map((point) => nearestAlong(of, point).off))
    expect(furthest(line)).toBeLessThan(furthest(knots) / 4)
    // Points that lie close are a line already.
    expect(throughPoints(pattern.points)).toBe(pattern.points)
  })

  describe('of points that scatter by 0.8 mm either way', () => {
    const counts = [7, 9, 11, 13, 20, 26, 40, 60, 120]
    const tries = counts.flatMap((count) =>
      Array.from({ length: 14 }, (_, i) => ({ count, seed: 97 * i + count })),
    )

    it('is told to be bent in no more than one of twenty where it is right, and the doubt is said', () => {
      const found = tries.map(({ count, seed }) =>
        planBends(target, { points: scattered(few(pattern.points, count), 0.8, seed) }),
      )
      expect(found.filter(({ bends }) => bends.length > 0).length).toBeLessThanOrEqual(tries.length / 20)
      for (const { bends, within, notes } of found)
        if (bends.length === 0 && !within) expect(notes.map(inMm).join(' ')).toMatch(/do not say where/)
      expect(found.flatMap(({ notes }) => notes.map(inMm)).join(' ')).not.toMatch(/wrong size/)
    })

    it('is bent on its own branch, and by no more than it is bent, where a heel is clearly off', () => {
      const bend = { branch: 'lateral' as const, fromToe: 60, angle: -6 }
      const off = bent(pattern, bend).points
      const right = tries.filter(({ count, seed }) => {
        const { bends } = planBends(target, { points: scattered(few(off, count), 0.8, seed) })
        return bends.length === 1 && bends[0]!.branch === bend.branch && bends[0]!.opens
      })
      expect(right.length).toBeGreaterThanOrEqual(tries.length * 0.9)
    })
  })

  it('is refused from the other heel or from the other side, by what to do', () => {
    for (const points of [[...pattern.points].reverse(), pattern.points.map(([x, y]): Vec => [-x, y])])
      expect(() => planBends(target, { points })).toThrow(/other way round/)
    expect(() => planBends(target, { points: few(pattern.points, 6) })).toThrow(ProblemError)
    // A straight bar runs no way round.
    const bar = pattern.stations.map((station): Vec => [pattern.toe - station, 0])
    expect(() => planBends(target, { points: bar })).not.toThrow()
  })

  it('is never left further off than it was, whatever the shape', () => {
    fc.assert(
      fc.property(anyPlan, anyPlan, fc.integer({ min: 7, max: 40 }), (drawn, other, count) => {
        const asked = requestOf(drawn)
        const [mine, theirs] = [
          tryPlan(asked),
          tryPlan(requestOf({ ...other, foot: { ...other.foot, side: drawn.foot.side } })),
        ]
        fc.pre(mine !== undefined && theirs !== undefined)
        const points = few(centrelineOfPlan(theirs).points, count)
        const { residual, before, bends, within } = planBends(asked, { points })
        expect(residual).toBeLessThanOrEqual(before + 1e-9)
        if (bends.length === 0 && within) expect(before).toBeLessThanOrEqual(TOLERANCE)
      }),
      { numRuns: 25 },
    )
  })
})
