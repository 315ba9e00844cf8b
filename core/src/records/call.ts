import * as z from 'zod'
import { daySchema, idSchema, lineSchema, stored, textSchema } from './common'

/** A call that was promised: whom, when, about what, and what came of it. */
export const callSchema = z
  .object({
    ...stored,
    horseId: idSchema,
    date: daySchema.describe('the day it was promised for'),
    whom: lineSchema.default('').describe('the owner where nobody else is named'),
    phone: lineSchema.default(''),
    about: textSchema,
    done: daySchema.nullable().default(null).describe('null until it was made'),
    said: textSchema.default('').describe('what came of it'),
    archived: z.boolean().default(false).describe('taken back'),
  })
  .strict()

export type PromisedCall = z.infer<typeof callSchema>
