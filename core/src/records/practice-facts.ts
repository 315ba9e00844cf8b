import * as z from 'zod'
import { lineSchema } from './common'
import { sectionSchema } from './shoe'
import { FIT_NAMES } from '../terms/fits'

/** The shoe that a foot begins with which never had one. */
export const usualShoeSchema = z.object({ section: sectionSchema, fit: z.enum(FIT_NAMES) }).strict()

/** What is asked to begin a practice of one's own. */
export const beginSchema = z
  .object({
    name: lineSchema.min(1, 'A name is needed'),
    usual: usualShoeSchema,
    horse: z
      .object({ name: lineSchema, owner: lineSchema.default('') })
      .strict()
      .optional(),
  })
  .strict()

const count = z.number().int().min(0)

/** What goes with a record that is erased for good, and how many backups still hold it. */
export const erasureSchema = z
  .object({
    horses: z.array(z.string()).describe('names'),
    visits: count,
    patterns: count,
    feet: count,
    backups: count,
    traces: z
      .boolean()
      .optional()
      .describe(
        'gone from the practice, but not written over in the file yet: tried again at the next start',
      ),
  })
  .strict()

/** The practice that is open. */
export const practiceFactsSchema = z
  .object({
    name: z.string().describe('empty where nobody named it'),
    demo: z.boolean().describe('made-up data to look at, not somebody’s work'),
    empty: z.boolean().describe('no horse is kept in it yet'),
    aside: z
      .enum(['demo', 'own'])
      .nullable()
      .describe('another practice that was set aside and can be opened again'),
    usual: usualShoeSchema.nullable(),
  })
  .strict()

/** What putting a backup back would lose, and what it brings. */
export const lossesSchema = z
  .object({
    records: count.describe('that are here and not in it, or newer here'),
    horses: z.array(z.string()).describe('whose, by name; the rest are counted'),
    moreHorses: count,
    brings: z.object({ horses: count, visits: count }).strict(),
  })
  .strict()

/** What bringing in a library did. */
export const importReportSchema = z
  .object({
    added: count,
    unchanged: count,
    kept: z
      .array(z.object({ kind: z.string(), id: z.string() }).strict())
      .describe('the first of those that are stored already and differ: the stored ones were kept'),
    keptMore: count.describe('how many more were kept than are named'),
  })
  .strict()

export type UsualShoe = z.infer<typeof usualShoeSchema>
export type Beginning = z.infer<typeof beginSchema>
export type Erasure = z.infer<typeof erasureSchema>
export type PracticeFacts = z.infer<typeof practiceFactsSchema>
export type Losses = z.infer<typeof lossesSchema>
export type ImportReport = z.infer<typeof importReportSchema>
