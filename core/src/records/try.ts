import * as z from 'zod'
import { BRANCH_PARTS, CONTACT_KEYS, CONTACT_MARKS, CUPS, TWISTS } from '../terms/trying'
import { daySchema, idSchema, lineSchema, stored } from './common'
import { sideSchema } from './foot'
import { HALVES } from '../terms/half'

const count = (most: number) => z.number().int().min(0).max(most)

/** One bend that was made. */
export const correctionSchema = z
  .object({
    branch: z.enum(HALVES),
    at: z.enum(BRANCH_PARTS),
    angle: z.number().min(-90).max(90).describe('degrees; plus opens'),
    heelMoves: z.number().min(-120).max(120).describe('of its heel end, mm; plus outward'),
  })
  .strict()

/** A shoe tried on one foot: how it was, what was corrected, what it took. */
export const trySchema = z
  .object({
    ...stored,
    visitId: idSchema,
    side: sideSchema,
    shoe: lineSchema.default('').describe('by its name: a size, or the bar it was turned from'),
    handmade: z.boolean().default(true),
    walks: count(40).default(1).describe('from the anvil to the horse and back'),
    heats: count(40).default(0),
    minutes: z.number().min(0).max(600).nullable().default(null),
    fits: z.boolean().default(false).describe('accepted: nothing more is bent'),
    before: z.number().min(0).max(200).nullable().default(null).describe('off at the worst place before, mm'),
    corrections: z.array(correctionSchema).max(20).default([]),
    twist: z.enum(TWISTS).optional(),
    cup: z.enum(CUPS).optional(),
    contacts: z.partialRecord(z.enum(CONTACT_KEYS), z.enum(CONTACT_MARKS)).default({}),
  })
  .strict()

/** A try with the day and the horse of its visit. */
export const datedTrySchema = trySchema.extend({ date: daySchema, horse: lineSchema })

export type Correction = z.infer<typeof correctionSchema>
export type Try = z.infer<typeof trySchema>
export type DatedTry = z.infer<typeof datedTrySchema>
