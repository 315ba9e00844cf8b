import * as z from 'zod'
import { stored } from './common'
import { sizeFactsSchema } from './size'

/** A size of the farrier’s own table: its facts, its range, and what is on the van. */
export const sizeSchema = sizeFactsSchema
  .extend({
    ...stored,
    range: z.string().trim().max(60).default('').describe('the sizes that belong together'),
    lengthDerived: z.boolean().default(false).describe('worked out from width and length as sold'),
    price: z.number().min(0).max(10_000).nullable().default(null).describe('of one, in the practice’s money'),
    onVan: z.number().int().min(0).max(9_999).default(0),
    keepOnVan: z.number().int().min(0).max(9_999).default(0).describe('order when there are fewer'),
    archived: z.boolean().default(false),
  })
  .strict()

export type Size = z.infer<typeof sizeSchema>
