import { describe, expect, it } from 'vitest'
import type { Vec } from '../geometry/vector'
import { ProblemError } from '../notices/problem'
import { plan, pattern } from '../testing/farriers'
import { inMm } from '../testing/made'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { bent } from './bend'
import { planBends } from './plan-bends'

describe('a bend in words', () => {
  it('is named by hole, clip or quarter, and told how to rest on the horn', () => {
    const shoe = { ...PLAIN_SHOE, modifications: [{ kind: 'quarter-clips' }] }
    const target = { foot: FIVE_BY_FIVE, shoe }
    const hole = plan.nails.find(({ branch, number }) => branch === 'lateral' && number === 3)!
    const near = pattern.points.reduce((best, [x, y], i) => {
      const [a, b] = pattern.points[best]!
      return Math.hypot(x - hole.x, y - hole.y) < Math.hypot(a - hole.x, b - hole.y) ? i : best
    }, 0)
    const fromToe = pattern.toe - pattern.stations[near]!
    const shape = bent(pattern, { branch: 'lateral', fromToe, angle: -8 })
    const [bend] = planBends(target, { points: shape.points }).bends
    expect(bend!.place).toBe('outer branch, at hole 3')
    expect(inMm(bend!.how)).toMatch(/^Outer edge down.*strike the inner edge/)
    const [closing] = planBends(target, {
      points: bent(pattern, { branch: 'medial', fromToe: 120, angle: 8 }).points,
    }).bends
    expect(closing).toMatchObject({ opens: false, branch: 'medial' })
    expect(closing!.place).toMatch(/^inner branch, at the (quarter|heel)$/)
    expect(inMm(closing!.how)).toMatch(/^Inner edge down/)
  })

  it('says when no bend helps', () => {
    // A size too large all round, given as it lies.
    const shape = pattern.points.map(([x, y]): Vec => [x * 1.15, y * 1.15])
    const found = planBends({ points: pattern.points }, { points: shape })
    expect(found.notes.map(inMm).join(' ')).toMatch(/longer along the bar/)
    expect(() => planBends({ points: pattern.points }, { points: [[0, 0]] })).toThrow(ProblemError)
  })
})
