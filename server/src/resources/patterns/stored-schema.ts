import type { StoredPattern } from '@crescent/core'
import { patternSchema, snapshotSchema } from '@crescent/core/records/index'
import type * as z from 'zod'

/** A pattern as it is stored and answered: with the result its design came to. */
export const storedPatternSchema: z.ZodType<StoredPattern> = patternSchema.extend({ result: snapshotSchema })
