import * as z from 'zod'
import { FOOT_WORKS } from '../terms/work'
import { SIDES } from '../terms/sides'
import { COURSE_KEYS, DOERS } from '../terms/courses'
import { daySchema, idSchema } from './common'
import { lookSchema } from './look'
import {
  footRecordSchema,
  horseSchema,
  ownerSchema,
  patternSchema,
  VISIT_STATES,
  visitSchema,
  workshopRecordSchema,
} from './practice'
import { learnedCutSchema } from './job'
import { usualShoeSchema } from './practice-facts'
import { sectionSchema } from './section'
import { toldSchema } from './told'
import { snapshotFactsSchema, snapshotSchema, type Snapshot } from './snapshot'

const count = z.number().int().min(0)

/** What stands in the way of the work on a horse. */
export const stopSchema = z
  .object({ side: z.enum(SIDES).optional(), title: z.string(), action: z.string() })
  .strict()

/** A horse as lists show it. */
export const horseSummarySchema = horseSchema
  .extend({
    ownerName: z.string(),
    lastVisit: daySchema.nullable(),
    due: daySchema
      .nullable()
      .describe(
        'as it was set at the last visit, else that visit and the cycle; none before the first visit',
      ),
    stops: z
      .array(stopSchema)
      .describe(
        'what calls for the vet and waits for an answer, or lets no shoe be put on, by its newest look',
      ),
  })
  .strict()

/** Typed as what is planned, which nobody changes any more. */
const result: z.ZodType<Snapshot> = snapshotSchema

/** A pattern with the result it had when it was saved. */
export const storedPatternSchema = patternSchema.extend({ result }).strict()

/** A pattern as the page of a visit has it: without the lines it is drawn with. */
export const pagePatternSchema = patternSchema.extend({ result: snapshotFactsSchema }).strict()

/** Everything the page of one horse shows. */
export const horsePageSchema = z
  .object({
    horse: horseSchema,
    owner: ownerSchema.nullable(),
    visits: z.array(visitSchema),
    footRecords: z.array(footRecordSchema),
    looks: z.array(lookSchema),
    patterns: z.array(storedPatternSchema),
  })
  .strict()

/** A step of a course with whose it is. */
export const roundStepSchema = z
  .object({
    id: idSchema,
    courseId: idSchema,
    horseId: idSchema,
    horse: z.string(),
    place: z.string(),
    side: z.enum(SIDES),
    kind: z.enum(COURSE_KEYS),
    date: daySchema,
    who: z.enum(DOERS),
    label: toldSchema,
    text: toldSchema,
    changed: z.string().describe('when the course was stored last'),
  })
  .strict()

/** A call that waits to be made, with whose it is. */
export const roundCallSchema = z
  .object({
    id: idSchema,
    horseId: idSchema,
    horse: z.string(),
    place: z.string(),
    date: daySchema.describe('the day it was promised for'),
    whom: z.string().describe('the owner where nobody else is named'),
    phone: z.string(),
    about: z.string(),
    changed: z.string().describe('when it was stored last'),
  })
  .strict()

const mmSchema = z.number().describe('mm')

/** A visit that is due, with what it takes. */
export const roundStopSchema = z
  .object({
    horse: horseSummarySchema,
    minutes: z
      .number()
      .nullable()
      .describe('what its shoes took of late, by logged tries; null where nothing was logged'),
    bars: z
      .array(
        z.object({ section: sectionSchema, name: z.string().nullable(), count, total: mmSchema }).strict(),
      )
      .describe('what it wears now, from bar'),
    sizes: z.array(z.object({ label: z.string(), count }).strict()),
  })
  .strict()

/** The days from one on. */
export const roundWeekSchema = z
  .object({
    from: daySchema,
    days: z.array(
      z
        .object({
          date: daySchema,
          stops: z.array(roundStopSchema),
          steps: z.array(roundStepSchema),
          calls: z.array(roundCallSchema),
        })
        .strict(),
    ),
    overdue: z
      .array(roundStopSchema)
      .describe('due before the first day and not seen since, the longest first'),
    late: z.array(roundStepSchema).describe('steps of courses that are overdue'),
    lateCalls: z.array(roundCallSchema).describe('calls that were promised for a day before the first'),
  })
  .strict()

/** What the day holds. */
export const roundSchema = z
  .object({
    date: daySchema,
    overdue: z
      .array(horseSummarySchema)
      .describe(
        'due before the day, the longest overdue first; of more than 120 waiting only those are listed',
      ),
    due: z.array(horseSummarySchema).describe('within the week from the day'),
    seen: z
      .array(
        horseSummarySchema
          .extend({
            visitId: idSchema,
            visitState: z.enum(VISIT_STATES),
            done: z
              .partialRecord(z.enum(SIDES), z.enum(FOOT_WORKS))
              .describe('what was done to each foot so far'),
            paused: z.array(z.enum(SIDES)).describe('where work on a foot stopped'),
          })
          .strict(),
      )
      .describe('visited on the day, or begun before and still open'),
    steps: z
      .array(roundStepSchema)
      .describe('steps of courses that are overdue, or due within the week from the day; the earliest first'),
    calls: z
      .array(roundCallSchema)
      .describe('calls not made yet, promised for the day, before it or within the week; the earliest first'),
    counts: z
      .object({ horses: count, patterns: count, overdue: count, due: count })
      .strict()
      .describe('of all, listed or not'),
  })
  .strict()

/** A pattern found among those of all horses. */
export const foundPatternSchema = z.object({ pattern: storedPatternSchema, horseName: z.string() }).strict()

/** What the Bench needs for one visit. */
export const visitPageSchema = z
  .object({
    usual: usualShoeSchema
      .nullable()
      .optional()
      .describe('what a foot begins with that never had a shoe, where the practice says so'),
    visit: visitSchema,
    horse: horseSchema,
    owner: ownerSchema.nullable(),
    footRecords: z.array(footRecordSchema),
    look: lookSchema.nullable().describe('what was looked at: null until somebody looked'),
    lookBefore: lookSchema.nullable().describe('the newest look at this horse before this visit'),
    lastVisit: visitSchema
      .nullable()
      .describe('the last finished visit before this one, measured or not: its note is for this one'),
    previous: z
      .object({ visit: visitSchema, footRecords: z.array(footRecordSchema) })
      .strict()
      .nullable()
      .describe('of the last visit at which a foot was measured'),
    patterns: z.array(pagePatternSchema),
    workshop: workshopRecordSchema,
    learned: z.array(learnedCutSchema).optional().describe('what logged jobs taught, by bar and style'),
  })
  .strict()

/** Why a request was not done. */
export const refusalSchema = z
  .object({
    errors: z.array(z.object({ path: z.string(), message: z.string() })),
    current: z.unknown().optional().describe('the stored record, where a stale write was refused'),
  })
  .strict()

export type HorseSummary = z.infer<typeof horseSummarySchema>
export type PagePattern = z.infer<typeof pagePatternSchema>
export type StoredPattern = z.infer<typeof storedPatternSchema>
export type HorsePage = z.infer<typeof horsePageSchema>
export type RoundStop = z.infer<typeof roundStopSchema>
export type RoundWeek = z.infer<typeof roundWeekSchema>
export type RoundCall = z.infer<typeof roundCallSchema>
export type RoundStep = z.infer<typeof roundStepSchema>
export type Round = z.infer<typeof roundSchema>
export type FoundPattern = z.infer<typeof foundPatternSchema>
export type VisitPage = z.infer<typeof visitPageSchema>
/** Why a request was not done. `current` is the stored record where a stale write was refused. */
export type Refusal<T = unknown> = Omit<z.infer<typeof refusalSchema>, 'current'> & { current?: T }
