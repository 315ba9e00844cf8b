import * as z from 'zod'
import { turningRadius, type NailTurning } from '@crescent/core'
import type { Route } from '../../http/route'

const turningSchema = z
  .object({
    seen: z.number().int().describe('nails whose exit was written down'),
    turning: z
      .object({ radius: z.number(), low: z.number(), high: z.number(), count: z.number().int() })
      .strict()
      .nullable()
      .describe('mm; half of them lie between low and high; none until enough of them say something'),
  })
  .strict()

export const nailRoutes: Route[] = [
  {
    method: 'get',
    path: '/nails/turning',
    summary: 'How the nails of this practice turn, from the exit heights that were entered afterwards',
    answer: turningSchema,
    run: ({ practice }): NailTurning => {
      const seen = practice.patterns.seenNails()
      return { seen: seen.length, turning: turningRadius(seen) ?? null }
    },
  },
]
