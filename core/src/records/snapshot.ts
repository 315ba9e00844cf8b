import * as z from 'zod'
import type { Vec } from '../geometry/vector'
import type { Caution } from '../notices/caution'
import { FINENESS } from '../notices/told'
import { HALVES, type Half } from '../terms/half'
import { MARK_KINDS, type MarkKind } from '../terms/mark-kinds'
import { VERDICTS, type Verdict } from '../terms/verdicts'

/** What a pattern came to on the day it was saved, kept for the record: lines to 0.1 mm. */
export interface Snapshot {
  cutLength: number
  centrelineLength: number
  weight: number
  marks: SnapshotMark[]
  nails: SnapshotNail[]
  cautions: Pick<Caution, 'code' | 'severity' | 'title'>[]
  outline: {
    foot: readonly Vec[]
    body: readonly Vec[]
    /** Pieces beside the branches; none in patterns from before there were any. */
    parts?: readonly (readonly Vec[])[]
    /** Pieces that lie behind the shoe as it is seen from the ground: pads. */
    behind?: readonly (readonly Vec[])[]
  }
}

/** What a pattern came to, without the lines it is drawn with: those are most of it. */
export type SnapshotFacts = Omit<Snapshot, 'outline'>

/** A mark on the bar, mm from the toe mark and from the end of its own branch. */
export interface SnapshotMark {
  kind: MarkKind
  label: string
  branch: Half | null
  fromMiddle: number
  fromEnd: number
}

/** A nail as it was planned and, where somebody looked, as it came out; older snapshots lack how it went in. */
export interface SnapshotNail {
  branch: Half
  number: number
  /** In the foot's frame, mm. */
  x: number
  y: number
  driven: boolean
  exitHeight: number
  verdict: Verdict
  /** How high it came out, mm. */
  seen?: number | undefined
  insideWall?: number | undefined
  /** Degrees from the ground, as `wallAngle`. */
  lean?: number | undefined
  wallAngle?: number | undefined
  /** Along the wall from the toe, mm. */
  alongWall?: number | undefined
}

/** Within this everything about a shoe lies, mm. */
const mm = z.number().min(-5_000).max(5_000)
const half = z.enum(HALVES)
const line = z.array(z.tuple([mm, mm])).max(5_000)
const told = z.union([
  z.string().max(2_000),
  z
    .array(
      z.union([z.string().max(2_000), z.object({ length: mm, as: z.enum(FINENESS).optional() }).strict()]),
    )
    .max(60),
])

const markSchema = z.object({
  kind: z.enum(MARK_KINDS),
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
}) satisfies z.ZodType<Snapshot>

/** As `snapshotSchema`, without the lines. */
export const snapshotFactsSchema: z.ZodType<SnapshotFacts> = snapshotSchema.omit({ outline: true })
