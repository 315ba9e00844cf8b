import * as z from 'zod'
import { daySchema, idSchema, lineSchema, stored } from './common'
import { sideSchema } from './foot'
import { sectionSchema } from './section'

const mm = z.number()

/** A shoe that was cut and made: what was planned, what was cut, what was left over. Lengths in mm. */
export const jobSchema = z
  .object({
    ...stored,
    visitId: idSchema,
    side: sideSchema,
    section: sectionSchema,
    style: lineSchema.default('').describe('what was made of the bar; nothing for a plain shoe'),
    predicted: mm.describe('by geometry and the workshop’s own figures, before anything learned'),
    used: mm.describe('cut from the bar'),
    left: mm.describe('cut off the finished heels, both together; minus: so much too short'),
    heats: z.number().int().min(0).max(60).default(0),
    counted: z.boolean().default(true).describe('it teaches the next cut'),
  })
  .strict()

/** A job with the day and the horse of its visit. */
export const datedJobSchema = jobSchema.extend({ date: daySchema, horse: lineSchema })

/** What the jobs of one bar and style taught. */
export const learnedCutSchema = z
  .object({
    section: sectionSchema,
    style: z.string(),
    jobs: z.number().int(),
    factor: z.number().describe('needed for each millimetre predicted'),
    spread: z.number().optional().describe('of a single job, as a share; none from one job'),
    outliers: z.array(idSchema).describe('jobs too far off to be of the same kind: not learned from'),
  })
  .strict()

export type LearnedCut = z.infer<typeof learnedCutSchema>
export type DatedJob = z.infer<typeof datedJobSchema>
export type Job = z.infer<typeof jobSchema>
