import fc from 'fast-check'
import { ProblemError } from '../../notices/problem'
import { planShoe, type Plan } from '../../plan/plan'
import type { FootInput } from '../../records/foot'
import type { FitName } from '../../terms/fits'
import { FIT_NAMES } from '../../terms/fits'
import { HALVES, type Half } from '../../terms/half'
import { anyFoot } from '../any-foot'
import { shoeOfSize, sizeOf } from '../sizes'

/** A factory shoe under a foot: how much longer it is than two and a half widths, as a share. */
export interface AnySize {
  foot: FootInput
  fit: FitName
  longer: number
}

export const anySize: fc.Arbitrary<AnySize> = fc.record({
  foot: anyFoot,
  fit: fc.constantFrom(...FIT_NAMES),
  longer: fc.double({ min: -0.05, max: 0.15, noNaN: true }),
})

/** Heel that is left over once it was cut as it is said, mm. */
const LEFT = 0.01

/** What is still to be cut of a factory shoe whose heels were cut as it says. */
export function sizeFaults({ foot, fit, longer }: AnySize): string[] {
  const facts = sizeOf(foot.width * 2.4 * (1 + longer))
  const made = (cutOff?: Record<Half, number>): Plan | undefined => {
    try {
      return planShoe(foot, {
        ...shoeOfSize(facts, { stock: { kind: 'size', facts, ...(cutOff && { cutOff }) } }),
        fit,
      })
    } catch (error) {
      if (error instanceof ProblemError) return undefined
      throw error
    }
  }
  const iron = made()?.iron
  if (!iron) return []
  const cut = made(iron.heelToCut)?.iron
  if (!cut) return ['a factory shoe cut as it says cannot be made']
  return HALVES.flatMap((half) =>
    iron.heelToCut![half] === 0 || Math.abs(cut.heelLeft![half]) < LEFT
      ? []
      : [
          `cut ${iron.heelToCut![half].toFixed(2)} off, ${cut.heelLeft![half].toFixed(2)} of the heel is left`,
        ],
  )
}
