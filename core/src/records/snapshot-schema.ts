import * as z from 'zod'
import { VERDICTS } from '../nails/nails'
import type { Snapshot } from './snapshot'

/** Within this everything about a shoe lies, mm. */
const mm = z.number().min(-5_000).max(5_000)
const half = z.enum(['lateral', 'medial'])
const line = z.array(z.tuple([mm, mm])).max(5_000)
const told = z.union([
  z.string().max(2_000),
  z
    .array(z.union([z.string().max(2_000), z.object({ length: mm, as: z.string().optional() }).strict()]))
    .max(60),
])

const markSchema = z.object({
  kind: z.enum(['toe', 'hole', 'heel-end', 'work']),
  label: z.string().max(200),
  branch: half.nullable(),
  fromMiddle: mm,
  fromEnd: mm,
})

const nailSchema = z.object({
  branch: half,
  number: z.number().int().min(1).max(20),
  x: mm,
  y: mm,
  driven: z.boolean(),
  exitHeight: mm,
  verdict: z.enum(VERDICTS),
  seen: mm.optional(),
  insideWall: mm.optional(),
  lean: z.number().min(0).max(180).optional(),
  wallAngle: z.number().min(0).max(180).optional(),
  alongWall: mm.optional(),
})

/** What a pattern came to, as it is read from a file: every number finite and of a size a shoe can have. */
export const snapshotSchema = z.object({
  cutLength: mm,
  centrelineLength: mm,
  weight: z.number().min(0).max(100_000),
  marks: z.array(markSchema).max(500),
  nails: z.array(nailSchema).max(60),
  cautions: z
    .array(
      z.object({ code: z.string().max(200), severity: z.enum(['stop', 'caution', 'note']), title: told }),
    )
    .max(200),
  outline: z.object({
    foot: line,
    body: line,
    parts: z.array(line).max(200).optional(),
    behind: z.array(line).max(200).optional(),
  }),
}) satisfies z.ZodType<unknown>

/** A snapshot that was read is one. */
export const asSnapshot = (read: z.infer<typeof snapshotSchema>): Snapshot => read as Snapshot
