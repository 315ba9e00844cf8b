import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { made } from '../made'
import { anyPlan, requestOf, tryPlan } from './any-plan'
import { apartFrom, faultsOf, followed, isInside, jumpAt, notNumbers } from './checks'

describe('any plan at all', () => {
  it('is refused by name or holds: numbers, nails, places, and no jump of the cut (npm run fuzz looks at 20,000)', () =>
    fc.assert(
      fc.property(anyPlan, fc.nat(60), (any, figure) => {
        const request = requestOf(any)
        const plan = tryPlan(request)
        if (!plan) return
        expect(faultsOf(plan)).toEqual([])
        expect(jumpAt(request, figure)).toBeUndefined()
      }),
      { numRuns: 60 },
    ))
})

describe('the looks from outside', () => {
  const square = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ] as const

  it('know inside from outside, and how far', () => {
    expect([isInside([5, 5], square), isInside([15, 5], square)]).toEqual([true, false])
    expect(apartFrom([15, 5], square, true)).toBe(5)
    expect(notNumbers({ a: [1, NaN], b: { c: Infinity } })).toHaveLength(2)
  })

  it('see a nail that would prick, and one that was called sound wrongly', () => {
    const plan = made([], { fit: 'general', nails: { lateral: { each: [{ number: 2, lean: 38 }] } } })
    const nail = plan.nails[1]!
    expect(nail.verdict).toBe('would-prick')
    expect(followed(nail, plan).deepest).toBeGreaterThan(nail.wallThickness + plan.foot.whiteLineWidth)
    expect(faultsOf(plan)).toEqual([])
    const lied = { ...plan, nails: [{ ...nail, verdict: 'sound' as const }] }
    expect(faultsOf(lied).join()).toContain('would prick')
  })
})
