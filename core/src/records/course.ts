import * as z from 'zod'
import { COURSE_ENDS, COURSE_KEYS, DOERS } from '../terms/courses'
import { SIGN_ANSWERS } from '../terms/signs'
import { daySchema, idSchema, lineSchema, stored, textSchema } from './common'
import { sideSchema } from './foot'
import { toldSchema } from './told'

/** One thing that is to be done on a day of a course. */
export const courseStepSchema = z
  .object({
    id: idSchema,
    date: daySchema,
    who: z.enum(DOERS),
    label: toldSchema,
    text: toldSchema.default('').describe('what is done'),
    measure: z
      .object({ label: lineSchema, kind: z.enum(['length', 'angle', 'number']) })
      .strict()
      .optional()
      .describe('what is measured at it'),
    stops: textSchema.default('').describe('what would stop it'),
    done: daySchema.nullable().default(null),
    value: z.number().nullable().default(null).describe('what was measured: mm, degrees or a number'),
    note: textSchema.default(''),
    skipped: z.boolean().default(false),
  })
  .strict()

/** What was seen of a sign at a visit. */
export const signAnswerSchema = z
  .object({ on: daySchema, sign: lineSchema, answer: z.enum(SIGN_ANSWERS) })
  .strict()

/** A plan over weeks for one foot of one horse. */
export const courseSchema = z
  .object({
    ...stored,
    horseId: idSchema,
    side: sideSchema,
    kind: z.enum(COURSE_KEYS),
    startedOn: daySchema,
    why: textSchema.default('').describe('what it was begun for'),
    who: lineSchema.default('').describe('the vet who leads, where one does'),
    steps: z.array(courseStepSchema).max(80),
    answers: z.array(signAnswerSchema).max(500).default([]),
    ended: z
      .object({
        on: daySchema,
        how: z.enum(COURSE_ENDS),
        reason: textSchema.default(''),
        pain: z.literal(true).optional().describe('it was stopped because it hurt'),
        settled: textSchema.optional().describe('what was done about that'),
      })
      .strict()
      .nullable()
      .default(null)
      .describe('null while it runs'),
    archived: z.boolean().default(false),
  })
  .strict()

export type Course = z.infer<typeof courseSchema>
export type CourseEntry = z.infer<typeof courseStepSchema>
