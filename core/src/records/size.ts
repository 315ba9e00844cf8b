import * as z from 'zod'
import { SIZE_CLIPS, SIZE_FEET, SIZE_KINDS } from '../terms/size-kinds'

const mm = z.number().describe('mm')

const sizeHoleSchema = z
  .object({
    fromToe: mm.describe('along the outer rim from the middle of the toe, mm'),
    inset: mm.describe('from the outer rim, mm'),
    pitch: z.number().optional().describe('how the hole leans, degrees from the ground'),
  })
  .strict()

/** One factory size: what of it a foot is compared with. */
export const sizeFactsSchema = z
  .object({
    label: z.string().trim().min(1).max(60),
    kind: z.enum(SIZE_KINDS),
    feet: z.enum(SIZE_FEET),
    web: mm,
    thickness: mm,
    length: mm.describe('along the centreline, mm'),
    width: mm
      .optional()
      .describe('outside, at its widest, as it comes from the box; derived where it is not said'),
    holes: z
      .object({ lateral: z.array(sizeHoleSchema).max(6), medial: z.array(sizeHoleSchema).max(6) })
      .strict(),
    clips: z.enum(SIZE_CLIPS).optional(),
    crease: mm
      .optional()
      .describe('of a moulded shoe: from its outer rim to where the crease begins; no saw goes further in'),
    weight: z.number().optional().describe('g; derived where it is not said'),
  })
  .strict()

export type SizeHole = z.infer<typeof sizeHoleSchema>
export type SizeFacts = z.infer<typeof sizeFactsSchema>
