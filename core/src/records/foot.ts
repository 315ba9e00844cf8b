import * as z from 'zod'

/** Left and right, fore and hind. */
export const SIDES = ['LF', 'RF', 'LH', 'RH'] as const
export const sideSchema = z.enum(SIDES)

/** What kind of animal stands on the foot; only the usual sizes depend on it. */
export const ANIMALS = ['horse', 'heavy horse', 'pony', 'mule'] as const
export const animalSchema = z.enum(ANIMALS)

const mm = z.number().describe('mm')
const degrees = z.number().describe('degrees from the ground')

/**
 * A foot as it is measured: five figures that are needed and refinements that have defaults.
 * Lengths in mm, angles in degrees from the ground. Ranges depend on each other and are checked by the plan.
 */
export const footSchema = z
  .object({
    side: sideSchema,
    animal: animalSchema.optional(),
    width: mm.describe('greatest width, mm'),
    length: mm.describe('toe to the line across the buttresses, mm'),
    heelWidth: mm.describe('across the heels at the buttresses, outside to outside, mm'),
    toeAngle: degrees,
    wallThickness: mm.describe('wall where the nails go, mm'),
    widestFromToe: mm.optional(),
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
    soleDepth: mm.optional(),
    tipFromToe: mm.optional(),
  })
  .strict()

export type Side = z.infer<typeof sideSchema>
export type Animal = z.infer<typeof animalSchema>
export type FootInput = z.infer<typeof footSchema>
