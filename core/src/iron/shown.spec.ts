import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyPlan, requestOf, tryPlan } from '../testing/fuzz/any-plan'
import { inMm } from '../testing/made'
import { FIVE_BY_FIVE, PLAIN_SHOE } from '../testing/samples'
import { planShoe } from '../plan/plan'
import { formatLength, parseLength, type LengthStyle } from '../units/length'
import { correctedTold, shownIron, shownParts } from './shown'

const STYLES: LengthStyle[] = [
  { unit: 'in', denominator: 16 },
  { unit: 'in', denominator: 32 },
  { unit: 'mm', denominator: 16 },
]
/** A length as somebody reads it off the screen and does sums with it, mm. */
const read = (mm: number, style: LengthStyle): number => {
  const parsed = parseLength(formatLength(mm, style), style.unit)
  if (!parsed.ok) throw new Error(parsed.message)
  return parsed.mm
}

describe('what is written of a bar', () => {
  it('adds up as it is read: branches, marks, heel marks, rules and the straight bar', () => {
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...STYLES), (drawn, style) => {
        const plan = tryPlan(requestOf(drawn))
        fc.pre(plan !== undefined)
        const iron = shownIron(plan.iron, style)
        const cut = read(plan.iron.cutLength, style)
        const [lateral, medial] = [read(iron.branches.lateral, style), read(iron.branches.medial, style)]
        expect(read(iron.cutLength, style)).toBeCloseTo(cut, 9)
        expect(lateral + medial).toBeCloseTo(cut, 9)
        for (const { branch, fromMiddle, fromEnd } of iron.marks)
          expect(read(fromMiddle, style) + read(fromEnd, style)).toBeCloseTo(
            branch === 'medial' ? medial : lateral,
            9,
          )
        for (const { length, difference } of iron.rules)
          expect(read(length, style) - read(iron.plainCut, style)).toBeCloseTo(read(difference, style), 9)
        const [first] = iron.heats
        if (first?.straight)
          expect(first.measures.map(({ value }) => read(value, style))).toEqual([cut, lateral, medial])
        // Nothing is written further from what it is than one division of the rule.
        iron.marks.forEach(({ fromMiddle }, i) =>
          expect(Math.abs(fromMiddle - plan.iron.marks[i]!.fromMiddle)).toBeLessThan(2),
        )
      }),
      { numRuns: 150 },
    )
  })

  it('gives what is left over to the part that loses most by rounding', () => {
    const sixteenths = (...parts: number[]) => parts.map((one) => (one * 25.4) / 16)
    // 12 9/16 is 6 5/16 and 6 1/4.
    const total = (201 * 25.4) / 16
    expect(shownParts(total, [total / 2, total / 2], STYLES[0]!)).toEqual(sixteenths(101, 100))
    expect(shownParts(10, [3.3, 3.3, 3.4], STYLES[2]!)).toEqual([3.5, 3, 3.5])
  })

  it('says of a cut that jobs corrected what it was, and nothing where that is not seen', () => {
    const { iron } = planShoe(FIVE_BY_FIVE, PLAIN_SHOE, { cutFactor: 0.98 })
    const { iron: plain } = planShoe(FIVE_BY_FIVE, PLAIN_SHOE)
    expect(inMm(correctedTold(iron, STYLES[2]!)!)).toContain(formatLength(plain.cutLength, STYLES[2]!))
    expect(correctedTold(plain, STYLES[0]!)).toBeUndefined()
    const slight = planShoe(FIVE_BY_FIVE, PLAIN_SHOE, { cutFactor: 1.0001 }).iron
    expect(correctedTold(slight, STYLES[0]!)).toBeUndefined()
  })
})
