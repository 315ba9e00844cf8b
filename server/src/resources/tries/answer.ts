import * as z from 'zod'
import { correctionSchema } from '@crescent/core/records/index'

const object = <S extends z.ZodRawShape>(shape: S) => z.object(shape).strict()
const first = object({
  shoes: z.number().int(),
  mean: z.number().describe('mm its heel had to go out; minus in'),
  spread: z.number().optional().describe('standard deviation, mm'),
})

/** What `GET /tries/over-time` answers. */
export const overTimeSchema = object({
  tries: z.number().int(),
  shoes: z.number().int(),
  kinds: z.array(
    object({
      ...{ branch: correctionSchema.shape.branch, at: correctionSchema.shape.at, opens: z.boolean() },
      ...{ count: z.number().int(), usual: z.number().describe('degrees') },
    }),
  ),
  first: object({ lateral: first, medial: first }),
  months: z.array(
    object({
      month: z.string().describe('2026-11'),
      shoes: z.number().int(),
      minutes: z.number().optional().describe('of the middle shoe'),
      walks: z.number().describe('a shoe'),
    }),
  ),
})
