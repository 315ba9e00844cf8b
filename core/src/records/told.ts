import * as z from 'zod'
import { FINENESS } from '../notices/told'

/** A sentence with its lengths left open, mm: who reads it has them written in his own unit. */
export const toldSchema = z.union([
  z.string(),
  z
    .array(
      z.union([
        z.string(),
        z
          .object({ length: z.number(), as: z.enum(FINENESS).optional() })
          .strict()
          .describe('mm; how finely it is written'),
      ]),
    )
    .readonly(),
])
