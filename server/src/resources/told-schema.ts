import * as z from 'zod'

/** A sentence with its lengths left open, mm: who reads it has them written in his own unit. */
export const toldSchema = z.union([
  z.string(),
  z.array(
    z.union([
      z.string(),
      z
        .object({ length: z.number(), as: z.enum(['rule', 'fine', 'drill']).optional() })
        .strict()
        .describe('mm; how finely it is written'),
    ]),
  ),
])
