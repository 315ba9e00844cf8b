import { BORN_RANGE } from '../terms/days'
import { PUT_IN } from '../terms/put-in'
import { BODY_WEIGHT } from '../terms/loads'
import { FOOT_WORKS } from '../terms/work'
import * as z from 'zod'
import { daySchema, idSchema, lineSchema, stored, textSchema } from './common'
import { animalSchema, breakoverSchoolSchema, footSchema, sideSchema } from './foot'
import { shoeSchema, workshopSchema } from './shoe'

const name = lineSchema.min(1, 'A name is needed')

export const ownerSchema = z
  .object({
    ...stored,
    name,
    phone: lineSchema.default(''),
    email: z.union([z.email('An e-mail address looks like name@place.example'), z.literal('')]).default(''),
    place: lineSchema.default(''),
    notes: textSchema.default(''),
    archived: z.boolean().default(false),
  })
  .strict()

export const horseSchema = z
  .object({
    ...stored,
    ownerId: idSchema.nullable().default(null),
    name,
    animal: animalSchema.default('horse'),
    work: lineSchema.default(''),
    going: lineSchema.default(''),
    living: lineSchema.default(''),
    place: lineSchema.default(''),
    cycleWeeks: z
      .number()
      .int()
      .min(2, 'A cycle lasts 2 to 16 weeks')
      .max(16, 'A cycle lasts 2 to 16 weeks')
      .default(7),
    /** What it weighs, kg: for the load on its feet. */
    bodyWeight: z
      .number()
      .min(BODY_WEIGHT.range[0], 'A horse weighs 80 to 1400 kg')
      .max(BODY_WEIGHT.range[1], 'A horse weighs 80 to 1400 kg')
      .nullable()
      .default(null),
    /** The year it was foaled in, where it is known. */
    born: z
      .number()
      .int()
      .min(BORN_RANGE[0], `A year lies between ${BORN_RANGE[0]} and ${BORN_RANGE[1]}`)
      .max(BORN_RANGE[1], `A year lies between ${BORN_RANGE[0]} and ${BORN_RANGE[1]}`)
      .nullable()
      .default(null),
    /** The school of breakover used for this horse; a foot may have its own. */
    breakoverSchool: breakoverSchoolSchema.default('perimeter'),
    notes: textSchema.default(''),
    archived: z.boolean().default(false),
  })
  .strict()

export const VISIT_STATES = ['open', 'done'] as const

/** What is looked at on each shod foot while it is nailed and finished. */
export const CLOSE_CHECKS = [
  'two nails',
  'frog to toe',
  'square across',
  'heels on their marks',
  'clinched',
  'finished',
] as const

/** What was ticked off and noted for each foot. */
export const closeListSchema = z.partialRecord(
  sideSchema,
  z.object({ checked: z.array(z.enum(CLOSE_CHECKS)).default([]), note: textSchema.default('') }).strict(),
)

/** What was decided for each foot, and where work on it stopped half way: two nails in, on with another foot. */
export const visitFeetSchema = z.partialRecord(
  sideSchema,
  z
    .object({
      work: z.enum(FOOT_WORKS).optional(),
      paused: lineSchema.optional().describe('what stopped the work on it; gone when it goes on'),
      put: z
        .array(z.object({ what: z.enum(PUT_IN), why: lineSchema.default('') }).strict())
        .max(12)
        .optional()
        .describe('what was put in or on it beside the shoe, and why'),
    })
    .strict(),
)

export const visitSchema = z
  .object({
    ...stored,
    horseId: idSchema,
    date: daySchema,
    state: z.enum(VISIT_STATES).default('open'),
    notes: textSchema.default('').describe('for next time'),
    nextDue: daySchema
      .nullable()
      .default(null)
      .describe('the next visit, where it is not the cycle that says it'),
    feet: visitFeetSchema.default({}),
    closeList: closeListSchema.default({}),
    archived: z.boolean().default(false),
  })
  .strict()

/** The measurements of one foot at one visit. */
export const footRecordSchema = z
  .object({
    ...stored,
    visitId: idSchema,
    side: sideSchema,
    foot: footSchema,
    /** The pattern that was made at this visit. */
    patternId: idSchema.nullable().default(null),
    notes: textSchema.default(''),
  })
  .strict()

/** A design for one foot of one horse. The server adds the snapshot of its result. */
/** A word by which patterns are found again. */
export const tagSchema = z.string().trim().min(1).max(40)

/** The pattern another was begun from, as it was then. */
export const forkSchema = z
  .object({
    id: idSchema,
    version: z.number().int().min(1),
    name,
    horse: lineSchema.default('').describe('for whom it was made'),
    mirrored: z.boolean().default(false),
  })
  .strict()

export const patternSchema = z
  .object({
    ...stored,
    horseId: idSchema,
    side: sideSchema,
    name,
    visitId: idSchema.nullable().default(null),
    foot: footSchema,
    shoe: shoeSchema,
    workshop: workshopSchema.default({}),
    notes: textSchema.default(''),
    tags: z.array(tagSchema).max(20).optional(),
    why: textSchema.optional().describe('what was changed in this version, and why'),
    forkedFrom: forkSchema.optional(),
    archived: z.boolean().default(false),
  })
  .strict()

/** A foot with the pattern made for it, stored in one go. */
export const shoeingSchema = z.object({ pattern: patternSchema, record: footRecordSchema }).strict()

/** Several feet of a visit with their patterns, and the visit itself where it changes or begins with them. */
export const visitShoeingsSchema = z
  .object({
    visit: visitSchema.optional(),
    feet: z.array(shoeingSchema).max(4),
  })
  .strict()

export const workshopRecordSchema = z.object({ ...stored, figures: workshopSchema }).strict()

export type Owner = z.infer<typeof ownerSchema>
export type Horse = z.infer<typeof horseSchema>
export type CloseCheck = (typeof CLOSE_CHECKS)[number]
export type CloseList = z.infer<typeof closeListSchema>
export type VisitFeet = z.infer<typeof visitFeetSchema>
export type Visit = z.infer<typeof visitSchema>
export type FootRecord = z.infer<typeof footRecordSchema>
export type Pattern = z.infer<typeof patternSchema>
export type Fork = z.infer<typeof forkSchema>
export type WorkshopRecord = z.infer<typeof workshopRecordSchema>
