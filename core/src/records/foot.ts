import * as z from 'zod'
import {
  ANIMALS,
  HEEL_MEASURES,
  TIP_SOURCES,
  type Animal,
  type HeelMeasure,
  type TipSource,
} from '../terms/foot-choices'
import { SIDES, type Side } from '../terms/sides'
import { HALVES } from '../terms/half'
import { NAIL_LIMIT_RULES, NAIL_LIMIT_SOURCES } from '../terms/nail-limits'

export const sideSchema = z.enum(SIDES)

export const animalSchema = z.enum(ANIMALS)

/** The schools of where a shoe should break over. */
export const BREAKOVER_SCHOOL_NAMES = ['landmark', 'thirds', 'radiographic', 'perimeter'] as const
export const breakoverSchoolSchema = z.enum(BREAKOVER_SCHOOL_NAMES)

const mm = z.number().describe('mm')
const degrees = z.number().describe('degrees from the ground')

/** What a nail must not go into. */
export const CLEAR_REASONS = ['crack', 'separated wall', 'broken wall', 'old hole'] as const

/** A place of the wall to keep nails clear of, from the middle of the toe along the wall. */
export const keepClearSchema = z
  .object({
    why: z.enum(CLEAR_REASONS),
    half: z.enum(HALVES),
    fromToe: z.number().min(0).max(400).describe('along the wall to the middle of it, mm'),
    width: z.number().min(1).max(120).describe('along the wall, mm'),
    look: z.literal(true).optional().describe('follows from what was found while looking'),
  })
  .strict()

/** What of the horse's state limits the nails of a foot, and who says so. */
export const nailLimitSchema = z
  .object({
    rule: z.enum(NAIL_LIMIT_RULES),
    by: z.enum(NAIL_LIMIT_SOURCES),
    why: z.string().trim().min(1).max(2_000).describe('in words, as it is told beside the nails'),
    look: z
      .literal(true)
      .optional()
      .describe('follows from what was found, or from the vet’s word, at the visit'),
  })
  .strict()

/** A traced outline: the knots of its spline in the foot's frame, from the lateral to the medial heel. */
export const traceSchema = z
  .array(z.tuple([z.number().min(-400).max(400), z.number().min(-400).max(400)]))
  .min(9)
  .max(200)
  .describe(
    'knots of the outline, mm: x lateral, y toward the toe, the axis of the frog at x 0; toe and quarter shape say nothing beside it, other figures that are given draw it out',
  )

/**
 * A foot as it is measured: five figures that are needed and refinements that have defaults.
 * Lengths in mm, angles in degrees from the ground. Ranges depend on each other and are checked by the plan.
 */
export const footSchema = z
  .object({
    side: sideSchema,
    animal: animalSchema.optional(),
    breakoverSchool: breakoverSchoolSchema.optional(),
    heelMeasure: z.enum(HEEL_MEASURES).optional().describe('how heelWidth was taken; outside if not said'),
    heelWeb: mm.optional().describe('web whose middle was measured to, mm'),
    width: mm.describe('greatest width, mm'),
    length: mm.describe('toe to the line across the buttresses, mm'),
    heelWidth: mm.describe('across the heels at the buttresses, as heelMeasure says, mm'),
    toeAngle: degrees,
    wallThickness: mm.describe('wall where the nails go, mm'),
    widestFromToe: mm.optional(),
    barsFromToe: mm.optional().describe('toe to where the bars run out into the sole, mm'),
    arcFromToe: mm.optional().describe('toe to the widest arc seen with a straight edge along the frog, mm'),
    lateralHalfWidth: mm.optional(),
    quarterLead: mm.optional(),
    toeShape: z.number().optional(),
    quarterShape: z.number().optional(),
    heelAngle: degrees.optional(),
    lateralWallAngle: degrees.optional(),
    medialWallAngle: degrees.optional(),
    frogApex: mm.optional(),
    frogLength: mm.optional(),
    frogWidth: mm.optional(),
    bulbLine: mm.optional(),
    whiteLineWidth: mm.optional(),
    toeWallThickness: mm.optional(),
    medialWallThickness: mm.optional(),
    heelWallThickness: mm.optional(),
    solePlane: mm.optional().describe('wall standing proud of the sole plane, still to be trimmed, mm'),
    soleDepth: mm.optional(),
    tipFromToe: mm.optional(),
    tipBy: z.enum(TIP_SOURCES).optional(),
    wornBreakover: mm.optional().describe('how far behind the toe the worn shoe broke over, mm'),
    dorsalLength: mm.optional().describe('hairline to ground down the front of the wall, mm'),
    heelHeight: mm.optional().describe('hairline to ground at the heel, upright, mm'),
    pasternAngle: degrees.optional(),
    palmarAngle: degrees.optional(),
    plumbBehind: mm
      .optional()
      .describe('plumb line behind the cannon to the buttress line; minus: it meets ahead of it, mm'),
    keepClear: z.array(keepClearSchema).max(30).optional(),
    limits: z.array(nailLimitSchema).max(40).optional(),
    trace: traceSchema.optional(),
  })
  .strict()

export { SIDES, type Side }
export type { Animal, HeelMeasure, TipSource }
export type KeepClear = z.infer<typeof keepClearSchema>
export type NailLimit = z.infer<typeof nailLimitSchema>
export type Trace = z.infer<typeof traceSchema>
export type FootInput = z.infer<typeof footSchema>
export type BreakoverSchoolName = (typeof BREAKOVER_SCHOOL_NAMES)[number]
