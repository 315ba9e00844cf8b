import fc from 'fast-check'
import { anyFoot } from '../any-foot'
import { ProblemError } from '../../notices/problem'
import { planShoe, type Plan } from '../../plan/plan'
import type { FootInput } from '../../records/foot'
import { type Section, type ShoeInput } from '../../records/shoe'
import { WAYS_BACK } from '../../terms/ways-back'
import { clashOf, MODIFICATIONS } from '../../modifications/index'
import { FIT_NAMES } from '../../terms/fits'

/** A modification as it is drawn: its kind and where in its range each of its figures lies, 0 to 1; none is left to its default. */
interface AnyModification {
  kind: string
  shares: (number | null)[]
}

/** What a plan is drawn from. */
export interface AnyPlan {
  foot: FootInput
  section: Section
  fit: ShoeInput['fit']
  modifications: AnyModification[]
  school: 'sound' | 'laminitic'
  /** Degrees one nail is leaned at by hand. */
  lean: number | null
}

const share = fc.double({ min: 0, max: 1, noNaN: true })

/** Round figures as a hand types them: on a sixteenth of an inch or a whole millimetre often, anything now and then. */
const length = (min: number, max: number) =>
  fc
    .tuple(fc.double({ min, max, noNaN: true }), fc.constantFrom(1, 25.4 / 16, 0))
    .map(([mm, step]) =>
      step === 0 ? mm : Math.min(max, Math.max(min, Number((Math.round(mm / step) * step).toFixed(4)))),
    )

const section: fc.Arbitrary<Section> = fc.record({
  shape: fc.constantFrom('flat' as const, 'flat' as const, 'concave' as const, 'half-round' as const),
  width: length(12, 32),
  thickness: length(5, 14),
  material: fc.constantFrom('steel' as const, 'steel' as const, 'aluminium' as const),
})

const fit: fc.Arbitrary<ShoeInput['fit']> = fc.oneof(
  fc.constantFrom(...FIT_NAMES),
  fc.record({
    spread: length(0, 8),
    heelLength: length(-5, 25),
    toeSetBack: length(0, 12),
    behind: fc.constantFrom(...WAYS_BACK),
  }),
)

/** Feet with what else may be measured of them. */
const foot: fc.Arbitrary<FootInput> = fc
  .tuple(anyFoot, fc.option(share), fc.option(share), fc.option(share))
  .map(([input, apex, tip, worn]) => ({
    ...input,
    ...(apex !== null && { frogApex: input.length * (0.12 + 0.3 * apex) }),
    ...(tip !== null && { tipFromToe: input.length * (0.2 + 0.2 * tip) }),
    ...(worn !== null && { wornBreakover: input.length * 0.25 * worn }),
  }))

const MOST_FIGURES = Math.max(...MODIFICATIONS.map(({ fields }) => fields.length))

const modifications: fc.Arbitrary<AnyModification[]> = fc.uniqueArray(
  fc.record({
    kind: fc.constantFrom(...MODIFICATIONS.map(({ kind }) => kind)),
    shares: fc.array(fc.option(share), { minLength: MOST_FIGURES, maxLength: MOST_FIGURES }),
  }),
  { maxLength: 4, selector: ({ kind }) => kind },
)

/** For tests: any plan a hand could ask for, from pony to heavy horse, with up to four modifications. */
export const anyPlan: fc.Arbitrary<AnyPlan> = fc.record({
  foot,
  section,
  fit,
  modifications,
  school: fc.constantFrom('sound' as const, 'laminitic' as const),
  lean: fc.option(fc.double({ min: 35, max: 100, noNaN: true })),
})

/** What is asked of `planShoe`. */
export interface Request {
  foot: FootInput
  shoe: ShoeInput
}

/** The plan, or nothing where Crescent refuses it by name; any other error comes through. */
export function tryPlan({ foot, shoe }: Request): Plan | undefined {
  try {
    return planShoe(foot, shoe)
  } catch (error) {
    if (error instanceof ProblemError) return undefined
    throw error
  }
}

/**
 * The request with every figure of its modifications within its range on that very foot: the ranges are asked of a
 * shoe with the modification's own defaults. A modification that cannot be made there at all, or
 * not beside one before it, is left out.
 */
export function requestOf(any: AnyPlan): Request {
  const nails: ShoeInput['nails'] = {
    school: any.school,
    ...(any.lean !== null && { lateral: { each: [{ number: 2, lean: any.lean }] } }),
  }
  const plain: ShoeInput = { section: any.section, fit: any.fit, nails }
  const standing = any.modifications.filter(
    ({ kind }, i) => !any.modifications.slice(0, i).some((one) => clashOf(one.kind, kind)),
  )
  const given = standing.flatMap(({ kind, shares }) => {
    const alone = tryPlan({ foot: any.foot, shoe: { ...plain, modifications: [{ kind }] } })
    const ranges = alone?.modifications[0]?.ranges
    if (!ranges) return []
    const fields = MODIFICATIONS.find((one) => one.kind === kind)!.fields
    const figures = fields.flatMap((field, i): (readonly [string, number | string])[] => {
      const at = shares[i]
      if (at === null || at === undefined) return []
      if (field.options)
        return [
          [field.key, field.options[Math.floor(at * field.options.length)] ?? field.options[0]!] as const,
        ]
      const [low, high] = ranges[field.key]!
      if (high < low) return []
      const value = low + (high - low) * at
      return [[field.key, field.kind === 'number' ? Math.round(value) : value]]
    })
    return [{ kind, ...Object.fromEntries(figures) }]
  })
  return { foot: any.foot, shoe: { ...plain, modifications: given } }
}
