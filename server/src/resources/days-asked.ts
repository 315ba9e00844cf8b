import { DAY_RANGE } from '@crescent/core'
import { daySchema } from '@crescent/core/records/index'
import type * as z from 'zod'

const [FIRST_DAY, LAST_DAY] = DAY_RANGE

/** From one day to another, both included; a day that is not named is the first or the last there can be. */
export const daysFields = { from: daySchema.default(FIRST_DAY), to: daySchema.default(LAST_DAY) }

/** What was read of {@link daysFields}. */
export interface DaysAsked {
  from: string
  to: string
}

/** Refuses days that lie the wrong way round. */
export const inOrder = <T extends DaysAsked>(schema: z.ZodType<T>): z.ZodType<T> =>
  schema.refine(({ from, to }) => from <= to, {
    path: ['to'],
    error: 'The last day lies before the first',
  })
