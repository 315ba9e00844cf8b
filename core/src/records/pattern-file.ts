import * as z from 'zod'
import { lineSchema, textSchema } from './common'
import { footSchema, sideSchema } from './foot'
import { tagSchema } from './practice'
import { shoeSchema, workshopSchema } from './shoe'

/** Form of the file; what reads it refuses a later one by name. */
export const PATTERN_FILE_VERSION = 1

/** A pattern as a file of its own: the foot it was made for, the shoe, and how the workshop cut it. mm and degrees. */
export const patternFileSchema = z
  .object({
    format: z.literal('crescent-pattern'),
    formatVersion: z.literal(PATTERN_FILE_VERSION),
    name: lineSchema,
    horse: lineSchema.default('').describe('for whom it was made'),
    side: sideSchema,
    foot: footSchema,
    shoe: shoeSchema,
    workshop: workshopSchema.default({}),
    notes: textSchema.default(''),
    tags: z.array(tagSchema).max(20).optional(),
  })
  .strict()

export type PatternFile = z.infer<typeof patternFileSchema>
