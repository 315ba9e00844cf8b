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

/** What goes with a record that is erased for good, and how many backups still hold it. */
export interface Erasure {
  /** Names of the horses. */
  horses: string[]
  visits: number
  patterns: number
  feet: number
  backups: number
  /** It is gone from the practice, but could not be written over in the file yet: tried again at the next start. */
  traces?: boolean
}

export type UsualShoe = z.infer<typeof usualShoeSchema>
export type Beginning = z.infer<typeof beginSchema>

/** The practice that is open. */
export interface PracticeFacts {
  /** Empty where nobody named it. */
  name: string
  /** Made-up data to look at, not somebody's work. */
  demo: boolean
  /** No horse is kept in it yet. */
  empty: boolean
  /** Another practice that was set aside and can be opened again: the demo, or one's own. */
  aside: 'demo' | 'own' | null
  usual: UsualShoe | null
}

/** What putting a backup back would lose, and what it brings. */
export interface Losses {
  /** Records that are here and not in it, or newer here. */
  records: number
  /** Whose, by name; the rest are counted. */
  horses: string[]
  moreHorses: number
  brings: { horses: number; visits: number }
}

/** What bringing in a library did. */
export interface ImportReport {
  added: number
  unchanged: number
  /** Records that are stored already and differ: the stored one was kept. The first of them by name. */
  kept: { kind: string; id: string }[]
  /** How many more were kept than are named. */
  keptMore: number
}
