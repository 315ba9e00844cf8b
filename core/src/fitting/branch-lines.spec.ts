import { describe, expect, it } from 'vitest'
import { planShoe } from '../plan/plan'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { inMm } from '../testing/made'
import { branchLines } from './branch-lines'
import { centrelineOf } from './centreline'
import { centrelineOfPlan } from './place-words'

describe('the lines of the branches carried back', () => {
  /** Two straight branches whose ends close by a slope. */
  const closing = (slope: number) => {
    const branch = (sign: 1 | -1) =>
      Array.from({ length: 12 }, (_, i) => [sign * (50 - slope * 5 * i), -5 * i] as const)
    return centrelineOf([...branch(1).reverse(), [0, 40], ...branch(-1)])
  }

  it('meet where two straight lines meet', () => {
    // Ends at x = 50 - 55 slope, y = -55; with a slope of a half they meet at y = -100.
    const found = branchLines(closing(0.5), -70)
    expect(found.meetAt).toBeCloseTo(-100, 6)
    expect(found.right).toBe(true)
    expect(inMm(found.words)).toMatch(/meet 30(\.0)? mm behind/)
    const closed = branchLines(closing(0.5), -120)
    expect(closed.right).toBe(false)
    expect(inMm(closed.words)).toMatch(/20(\.0)? mm before.*Open both heels/)
  })

  it('may run side by side or apart', () => {
    expect(branchLines(closing(0), -70).meetAt).toBeUndefined()
    expect(branchLines(closing(-0.3), -70)).toMatchObject({ right: true })
  })

  it('lie right for a shoe in general fit', () => {
    const plan = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
    expect(branchLines(centrelineOfPlan(plan), plan.landmarks.bulbY).right).toBe(true)
  })
})
