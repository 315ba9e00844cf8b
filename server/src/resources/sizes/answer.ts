import * as z from 'zod'
import { sizeFactsSchema, sizeSchema } from '@crescent/core/records/index'
import { HALVES, VERDICTS } from '@crescent/core'
import { toldSchema } from '../told-schema'

const mm = z.number()
const both = z.object({ lateral: mm, medial: mm }).strict()

/** What ranking answers. */
export const rankedSchema = z
  .object({
    ranked: z.array(
      z
        .object({
          label: z.string(),
          facts: sizeFactsSchema.loose(),
          possible: z.boolean().describe('can be shaped to this foot and nailed on it'),
          reshapeToe: mm.describe(
            'its toe is rounder than the foot’s by so much across the toe quarters; minus more pointed',
          ),
          openBy: mm.describe('wider than it lies in the box, mm; minus closes'),
          heelLeft: both.describe('beyond where the fit ends, mm; minus falls short'),
          heelToCut: both,
          heelBehind: both.describe('behind the buttress line, mm'),
          shortOfBulbs: both,
          holes: z.array(
            z
              .object({
                branch: z.enum(HALVES),
                number: z.number(),
                verdict: z.enum(VERDICTS),
                why: toldSchema,
              })
              .strict(),
          ),
          nailsLeft: both.describe('holes that hold and hurt nothing'),
          reasons: z.array(toldSchema),
          cost: z.number().describe('what it would need, as it counts here; less is better'),
        })
        .strict(),
    ),
  })
  .strict()

const problems = z.array(z.object({ path: z.string(), message: z.string() }).strict())

/** What reading a table answers. */
export const csvReadSchema = z
  .object({
    rows: z.array(
      z
        .object({
          line: z.number(),
          name: z.string().describe('range and label as they stand there'),
          size: sizeSchema.omit({ id: true, version: true }).optional(),
          errors: problems.describe('by column'),
        })
        .strict(),
    ),
    errors: problems.describe('of the file as a whole'),
    unread: z.array(z.string()).describe('headings that are not known here; their cells are not taken'),
    kept: z.number().describe('rows that were stored'),
  })
  .strict()
