import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { goingOf } from '../going/going'
import { madeLimb, USUAL_LIMB, type LimbTruth } from '../made-up/limb'
import { MODIFICATIONS } from '../modifications/index'
import { planShoe } from '../plan/plan'
import { footFromRadiograph } from '../radiographs/onto-foot'
import { trimPlan, type Wanted } from '../radiographs/trim-plan'
import type { FootInput } from '../records/foot'
import type { ShoeInput } from '../records/shoe'
import { FIVE_BY_FIVE } from '../testing/samples'
import { shoeWith } from '../testing/made'
import { handOver } from './hand-over'
import { CARRIED_OUT, proposedWay, type CarriedOut } from './ways'

const EXPOSURE = { mmPerPixel: 0.2, turn: 0, looksLeft: false }
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const wayOf = (key: CarriedOut['key']) => CARRIED_OUT.find((way) => way.key === key)!
const planFor = (truth: Partial<LimbTruth> = {}, wanted: Partial<Wanted> = {}) =>
  trimPlan(madeLimb({ ...USUAL_LIMB, ...truth }, EXPOSURE), 0.2, {
    ...{ palmarAngle: 6, soleDepth: 15, behindTip: 0 },
    ...wanted,
  })!
/** The foot as it is handed over: with its figures as trimmed. */
const footFor = (plan: ReturnType<typeof planFor>): FootInput => ({
  ...FIVE_BY_FIVE,
  ...footFromRadiograph(plan.trimmed),
  tipBy: 'radiograph',
})
const over = (key: CarriedOut['key'], plan: ReturnType<typeof planFor>, shoe: ShoeInput = shoeWith([])) => {
  const handed = handOver({ plan, way: wayOf(key), foot: footFor(plan), shoe })
  if (!handed.ok) throw new Error(handed.problems.map(({ message }) => message).join())
  return handed
}

describe('a plan from the radiograph on a shoe', () => {
  it('the made shoe has the angle that is claimed, over its own bearing, in every fit and with every way that raises', () => {
    fc.assert(
      fc.property(
        between(0, 4),
        between(4, 7),
        fc.constantFrom('general', 'supportive', 'conservative', 'flush'),
        fc.constantFrom('wedge', 'rocker-toe', 'four-rail-plate'),
        (palmarAngle, angle, fit, key) => {
          const plan = planFor({ palmarAngle, soleTip: 12, breakoverAhead: 20 }, { palmarAngle: angle })
          const { shoe, made } = over(key, plan, { ...shoeWith([]), fit })
          if (plan.raise < 0.6) return
          expect(Math.abs(made.palmarAngle - angle)).toBeLessThan(0.1)
          expect(plan.palmarAfterShoe).toBeCloseTo(angle, 6)
          // A second opinion: how the made shoe lies on a hard floor, by another way of working it out.
          const planned = planShoe(footFor(plan), shoe)
          const floor = goingOf(planned, {
            ground: { stiffness: Infinity, edge: 0 },
            load: { newtons: 1000 },
          })
          const ys = planned.outline.outer.map(([, y]) => y)
          const thicker =
            planned.cuts[0]!.form.thickness - planned.cuts[planned.cuts.length >> 1]!.form.thickness
          const seat = (Math.atan(thicker / (Math.max(...ys) - Math.min(...ys))) * 180) / Math.PI
          expect(Math.abs(seat - floor.onFloor.foreAft - made.raised)).toBeLessThan(0.12)
        },
      ),
      { numRuns: 40 },
    )
  })

  it('breaks over where it was planned, with every way: the lever follows', () => {
    for (const { key } of CARRIED_OUT) {
      const plan = planFor({ palmarAngle: 2, soleTip: 14 })
      const { made, shoe } = over(key, plan)
      expect(Math.abs(made.breakoverFromToe - plan.breakoverFromToe!), key).toBeLessThan(0.6)
      const { balance, foot } = planShoe(footFor(plan), shoe)
      expect(foot.widestFromToe - balance.toeLever, key).toBeCloseTo(made.breakoverFromToe, 6)
    }
  })

  it('where nothing is to be raised nothing is: no wedge, no rails', () => {
    const plan = planFor({ palmarAngle: 6, soleTip: 15 })
    expect(plan.raise).toBe(0)
    for (const { key } of CARRIED_OUT) {
      const { shoe, made } = over(key, plan)
      expect(made.raised, key).toBeCloseTo(0, 6)
      expect(shoe.modifications!.some(({ kind }) => kind === 'wedge')).toBe(false)
      expect(made.rise).toBeUndefined()
    }
  })

  it('takes the place of what was handed over before', () => {
    const first = over('wedge', planFor({ palmarAngle: 1, soleTip: 12 })).shoe
    expect(first.modifications!.map(({ kind }) => kind)).toEqual(['rolled-toe', 'wedge'])
    const then = over('breakover', planFor({ palmarAngle: 6, soleTip: 15 }, { behindTip: 4 }), {
      ...first,
      modifications: [{ kind: 'toe-clip' }, ...first.modifications!],
    }).shoe
    expect(then.modifications!.map(({ kind }) => kind)).toEqual(['toe-clip', 'rolled-toe'])
    expect(then.modifications![1]!['behindToe']).not.toBe(first.modifications![0]!['behindToe'])
  })

  it('a plate is made of its own bar where the one at hand will not do', () => {
    const { shoe } = over('four-rail-plate', planFor({ palmarAngle: 1, soleTip: 12 }))
    expect(shoe.section).toMatchObject({ material: 'aluminium', width: 25.4 })
    const own = { ...shoeWith([]), section: { ...shoe.section, thickness: 12.7 } }
    expect(
      over('four-rail-plate', planFor({ palmarAngle: 1, soleTip: 12 }), own).shoe.section.thickness,
    ).toBe(12.7)
  })

  it('what cannot stand beside it is said, and so is a foot that cannot be planned', () => {
    const plan = planFor({ palmarAngle: 1, soleTip: 12 })
    const shoe = shoeWith([{ kind: 'perimeter-bevel' }])
    const refused = handOver({ plan, way: wayOf('wedge'), foot: footFor(plan), shoe })
    expect(refused).toMatchObject({ ok: false, problems: [{ message: 'The bevel rounds the toe already' }] })
    const narrow = { ...footFor(plan), width: 1 }
    expect(handOver({ plan, way: wayOf('wedge'), foot: narrow, shoe: shoeWith([]) }).ok).toBe(false)
  })

  it('proposes a way that raises where the plan raises, and puts on only figures there are', () => {
    expect([proposedWay(0), proposedWay(2)]).toEqual(['breakover', 'wedge'])
    for (const { breakover, raise } of CARRIED_OUT)
      for (const { kind, key } of [breakover, ...(raise ? [raise] : [])])
        expect(MODIFICATIONS.find((one) => one.kind === kind)!.fields.map((field) => field.key)).toContain(
          key,
        )
  })
})
