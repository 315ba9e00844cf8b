import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Plan } from '../../plan/plan'
import { anyPlan, requestOf, tryPlan } from '../fuzz/any-plan'
import { made } from '../made'
import { bearing, branchVolume, disputes, weight } from './referee'

describe('the referee', () => {
  it('finds what two thousand plans claim, whatever is made of the bar (npm run referee looks at 50,000)', () => {
    let looked = 0
    fc.assert(
      fc.property(anyPlan, (any) => {
        const plan = tryPlan(requestOf(any))
        if (!plan) return
        looked++
        expect(disputes(plan)).toEqual([])
      }),
      // Always the same: npm run referee is for new ones.
      { numRuns: 2_000, seed: 3 },
    )
    expect(looked).toBeGreaterThan(1_000)
  }, 600_000)

  it('weighs a plain shoe by hand: 3/4 x 5/16 steel over its centreline', () => {
    const plan = made([])
    const byHand = plan.iron.centrelineLength * 19.05 * 7.9375 * 7.85e-3
    expect(weight(plan) / byHand).toBeCloseTo(1, 3)
    expect(branchVolume(plan) / (plan.iron.cutLength * 19.05 * 7.9375)).toBeCloseTo(1, 3)
  })

  it('disputes every figure that is told wrongly', () => {
    const plan = made([{ kind: 'toe-clip' }, { kind: 'wedge' }], { fit: 'general' })
    expect(disputes(plan)).toEqual([])
    const wrong: [Partial<Plan>, RegExp][] = [
      [{ iron: { ...plan.iron, weight: plan.iron.weight * 1.04 } }, /^weight/],
      [{ iron: { ...plan.iron, cutLength: plan.iron.cutLength + 10 } }, /cut by its branches/],
      [{ balance: { ...plan.balance, toeLever: plan.balance.toeLever + 1 } }, /toe lever/],
      [{ balance: { ...plan.balance, behind: plan.balance.behind - 1 } }, /bearing behind/],
      [{ nails: plan.nails.map((nail) => ({ ...nail, exitHeight: nail.exitHeight + 1 })) }, /exit of nail/],
      [{ nails: plan.nails.map((nail) => ({ ...nail, deepest: nail.deepest + 0.2 })) }, /depth of nail/],
    ]
    for (const [lie, said] of wrong) expect(disputes({ ...plan, ...lie }).join()).toMatch(said)
  })

  it('sees where a rolled toe leaves the ground', () => {
    const [plain, rolled] = [made([]), made([{ kind: 'rolled-toe', behindToe: 12 }])]
    expect(bearing(plain).foremost - bearing(rolled).foremost).toBeCloseTo(12, 0)
  })
})
