import * as z from 'zod'
import { planShoe, SIDES, workOf, type Plan, type Side } from '@crescent/core'
import { footSchema, shoeSchema, workshopSchema } from '@crescent/core/records/index'
import { NotFound } from '../../http/door'
import type { Practice } from '../../practice'

/** How lengths are written on what is sent. */
export const styleFields = {
  unit: z.enum(['in', 'mm']).default('mm').describe('lengths are written in it'),
  parts: z.enum(['16', '32']).default('16').describe('finest part of an inch that is written'),
}
export const paperField = { paper: z.enum(['a4', 'letter']).default('a4') }

export const styleOf = ({ unit, parts }: { unit: 'in' | 'mm'; parts: '16' | '32' }) =>
  ({ unit, denominator: parts === '16' ? 16 : 32 }) as const

/** The same for the description of a query. */
export const STYLE_QUERY = {
  unit: 'in or mm: lengths are written in it; else mm',
  parts: '16 or 32: finest part of an inch that is written; else 16',
}
export const PAPER_QUERY = { paper: 'a4 or letter; else a4' }

/** A shoe that need not be stored yet, with what is said above it. */
export const shoeRequest = z
  .object({
    foot: footSchema,
    shoe: shoeSchema,
    workshop: workshopSchema.default({}),
    title: z.string().trim().min(1).max(120).default('Shoe'),
  })
  .strict()

/** A planned shoe and how a sheet of it is headed. */
export interface Titled {
  plan: Plan
  title: string
  side: Side
}

export const titledOf = ({ foot, shoe, workshop, title }: z.output<typeof shoeRequest>): Titled => ({
  plan: planShoe(foot, shoe, workshop),
  title: `${title}, ${foot.side}`,
  side: foot.side,
})

/**
 * The shoe of a stored pattern.
 *
 * @throws NotFound where there is no such pattern
 */
export function storedShoe(practice: Practice, id: string): Titled {
  const pattern = practice.patterns.get(id)
  if (!pattern) throw new NotFound('pattern')
  const title = practice.horses.get(pattern.horseId)?.name ?? pattern.name
  return titledOf({ ...pattern, title })
}

/** A name for a file: letters and figures of the title, nothing that a file system minds. */
export const fileName = (title: string, ending: string): string =>
  `${title
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')}.${ending}`

/**
 * The shoes that are forged at a visit, in the order of the feet.
 *
 * @throws NotFound where there is no such visit, or nothing is forged at it
 */
export function shodFeet(practice: Practice, visitId: string): [Titled, ...Titled[]] {
  const visit = practice.visits.get(visitId)
  if (!visit) throw new NotFound('visit')
  const records = practice.footRecords.ofVisit(visitId)
  const work = workOf(visit.feet, records)
  const [first, ...others] = SIDES.flatMap((side) => {
    const patternId = records.find((record) => record.side === side)?.patternId
    return work[side] === 'shod' && patternId ? [storedShoe(practice, patternId)] : []
  })
  if (!first) throw new NotFound('visit', 'Nothing is forged at this visit: no shoe is stored with it.')
  return [first, ...others]
}
