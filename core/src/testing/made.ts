import { planShoe, type Plan } from '../plan/plan'
import { ProblemError } from '../notices/problem'
import type { FootInput } from '../records/foot'
import type { Section, ShoeInput } from '../records/shoe'
import { FIVE_BY_FIVE } from './samples'
import { PLAIN_SHOE } from '../shoe/starting-shoe'
import { PLAIN } from '../units/figure'
import { writeTold, type Told } from '../notices/told'

/** Modifications as they are given. */
export type Given = NonNullable<ShoeInput['modifications']>

/** What a test may say of a shoe beside its modifications. */
export interface Asked {
  foot?: Partial<FootInput>
  fit?: ShoeInput['fit']
  section?: Partial<Section>
  nails?: ShoeInput['nails']
}

/** For tests: a bar of aluminium that the four-rail plate asks for. */
export const ALUMINIUM: Partial<Section> = { width: 25.4, thickness: 12.7, material: 'aluminium' }

/** For tests: a plain shoe in a fit that ends at the buttress, with these modifications. */
export const shoeWith = (
  modifications: Given,
  { fit = 'conservative', section, nails }: Asked = {},
): ShoeInput => ({
  ...PLAIN_SHOE,
  fit,
  section: { ...PLAIN_SHOE.section, ...section },
  modifications,
  ...(nails && { nails }),
})

/** For tests: the plan of such a shoe on the 5 x 5 in foot. */
export const made = (modifications: Given, asked: Asked = {}): Plan =>
  planShoe({ ...FIVE_BY_FIVE, ...asked.foot }, shoeWith(modifications, asked))

/** For tests: why it cannot be made; nothing where it can. */
export function problemsOf(modifications: Given, asked: Asked = {}): { path: string; message: string }[] {
  try {
    made(modifications, asked)
    return []
  } catch (error) {
    return [...(error as ProblemError).problems]
  }
}

/** For tests: what a modification asks of the bar before it can be made at all. */
export const barFor = (kind: string): Partial<Section> | undefined =>
  kind === 'four-rail-plate' ? ALUMINIUM : undefined

export const codes = (plan: Plan): string[] => plan.cautions.map(({ code }) => code)

/** For tests: a sentence with its lengths in millimetres. */
export const inMm = (sentence: Told): string => writeTold(sentence, PLAIN)

/** For tests: the paths of all that is refused by some work; none where it is done. */
export function refusedBy(work: () => unknown): string[] {
  try {
    work()
    return []
  } catch (error) {
    if (error instanceof ProblemError) return error.problems.map(({ path }) => path)
    throw error
  }
}
