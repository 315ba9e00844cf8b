import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Vec } from '../geometry/vector'
import { pattern, anyBend, measured, furthest, madeUp } from '../testing/farriers'
import { bent } from './bend'
import { bendPlan, TOLERANCE } from './bend-plan'
import { branchLength, centrelineOf, type Centreline } from './centreline'
import { HALVES } from '../terms/half'

/** Made-up farriers that are tried here. */
const CASES = 1000

/** As `furthest`, by a plan that may leave anything: quick enough for thousands. */
const furthest5 = (line: Centreline): number => bendPlan(pattern, line, 1000).residual

describe('the fewest bends', () => {
  it('leaves alone what lies within tolerance', () => {
    expect(bendPlan(pattern, pattern)).toMatchObject({ within: true, bends: [] })
    const turned = centrelineOf(
      pattern.points.map(([x, y]): Vec => [x * 0.8 - y * 0.6 + 40, x * 0.6 + y * 0.8 - 9]),
    )
    expect(bendPlan(pattern, { ...turned, toe: pattern.toe }).bends).toEqual([])
  })

  it('undoes one bend with one bend, where it was made', () => {
    for (const branch of HALVES)
      for (const fromToe of [30, 70, 110]) {
        const found = bendPlan(pattern, bent(pattern, { branch, fromToe, angle: -7 }))
        expect(found.bends).toHaveLength(1)
        expect(found.bends[0]!.branch).toBe(branch)
        expect(Math.abs(found.bends[0]!.fromToe - fromToe)).toBeLessThan(8)
        expect(found.bends[0]!.angle).toBeGreaterThan(5)
        expect(found.residual).toBeLessThan(TOLERANCE / 2)
      }
  })

  it('brings what made-up farriers bent and measured within tolerance, with no more bends than were made and one', () => {
    for (let seed = 0; seed < CASES; seed++) {
      const bends = madeUp(seed)
      const real = bends.reduce(bent, pattern)
      const found = bendPlan(pattern, measured(real, seed * 7919))
      expect(found.within, `case ${seed}`).toBe(true)
      expect(found.bends.length, `case ${seed}`).toBeLessThanOrEqual(bends.length + 1)
      // What is done to the shoe itself, without the noise of the tape.
      expect(furthest(found.bends.reduce(bent, real)), `case ${seed}`).toBeLessThan(TOLERANCE)
      const order = found.bends.map(({ fromToe }) => fromToe)
      expect([...order].sort((a, b) => a - b)).toEqual(order)
    }
  }, 900_000)

  it('is the fewest: no single bend does it where two are planned, by trying them all', () => {
    fc.assert(
      fc.property(fc.array(anyBend, { minLength: 2, maxLength: 2 }), (bends) => {
        const shape = bends.reduce(bent, pattern)
        const found = bendPlan(pattern, shape)
        if (found.bends.length < 2) return
        let nearest = Infinity
        for (const branch of HALVES)
          for (let fromToe = 6; fromToe < branchLength(pattern, branch) - 24; fromToe += 8)
            for (let angle = -14; angle <= 14; angle += 1)
              nearest = Math.min(nearest, furthest5(bent(shape, { branch, fromToe, angle })))
        // A tenth of the tolerance is left for the hand, and the places are looked at in steps.
        expect(nearest).toBeGreaterThan(TOLERANCE * 0.7)
      }),
      { numRuns: 6, seed: 3, endOnFailure: true },
    )
  })

  it('follows its steps: each shape is the one before with its bend made', () => {
    const shape = [
      { branch: 'lateral' as const, fromToe: 40, angle: 6 },
      { branch: 'medial' as const, fromToe: 90, angle: -8 },
    ].reduce(bent, pattern)
    const found = bendPlan(pattern, shape)
    let line = shape
    found.bends.forEach((bend, i) => {
      line = bent(line, bend)
      found.shapes[i]!.forEach((point, j) => {
        expect(Math.hypot(point[0] - line.points[j]![0], point[1] - line.points[j]![1])).toBeLessThan(1e-6)
      })
    })
    expect(found.laid).toHaveLength(found.bends.length + 1)
    expect(found.before).toBeGreaterThan(TOLERANCE)
  })
})
