import * as z from 'zod'
import {
  DIAGNOSES,
  FRONT_LINES,
  GOINGS,
  INTERFERENCES,
  LANDINGS,
  LIVINGS,
  LOSS_REASONS,
  SIDE_LINES,
  WEARS,
  WORKS,
} from '../terms/choices'
import { FINDING_KIND_KEYS } from '../terms/finding-kinds'
import { PLACE_KEYS } from '../terms/places'
import { VET_NAIL_RULES } from '../terms/nail-limits'
import { SIGN_ANSWERS } from '../terms/signs'
import { daySchema, idSchema, lineSchema, stampSchema, textSchema, versionSchema } from './common'
import { sideSchema } from './foot'

/** What became of a finding since the visit before. */
export const ANSWERS = ['new', 'better', 'same', 'worse', 'gone'] as const

export const findingSchema = z
  .object({
    id: idSchema,
    kind: z.enum(FINDING_KIND_KEYS),
    place: z.enum(PLACE_KEYS),
    grade: z.number().int().min(1).max(4),
    note: textSchema.default(''),
    answer: z.enum(ANSWERS).default('new'),
    /** The day it was first found. */
    since: daySchema,
  })
  .strict()

const mm = z.number().min(-400).max(400).describe('mm')
const degrees = z.number().min(0).max(120).describe('degrees from the ground')

/** Thickness of the shoe that is left, mm. */
const left = z.number().min(0).max(40).optional()

/** Where the old shoe lay before it was pulled, against the foot at the end of its cycle, mm. */
export const oldShoeSchema = z
  .object({
    breakover: mm.optional().describe('behind the toe of the foot'),
    widest: mm.optional().describe('widest part of the shoe behind the toe of the foot'),
    heelEnds: mm.optional().describe('heel ends behind the buttress line; minus: ahead of it'),
    wear: z.enum(WEARS).optional(),
    leftToe: left.describe('of the bar left at the toe'),
    leftQuarters: left.describe('at the thinner quarter'),
    leftOuterHeel: left,
    leftInnerHeel: left,
  })
  .strict()

/** The foot as it was found, before the trim. */
export const untrimmedSchema = z
  .object({
    width: mm.optional(),
    length: mm.optional(),
    heelWidth: mm.optional(),
    toeAngle: degrees.optional(),
    heelAngle: degrees.optional(),
    pasternAngle: degrees.optional(),
    dorsalLength: mm.optional(),
    heelHeight: mm.optional(),
  })
  .strict()

/** What should come of something that was agreed, and what was seen of it so far: it goes on from look to look. */
export const lookedForSchema = z
  .object({
    code: lineSchema.describe('the advice it follows from'),
    sign: lineSchema,
    since: daySchema.describe('the visit at which that was agreed'),
    answers: z.array(z.object({ on: daySchema, answer: z.enum(SIGN_ANSWERS) }).strict()).max(100),
    ended: z.boolean().optional().describe('it is not asked for any more'),
  })
  .strict()

export const footLookSchema = z
  .object({
    findings: z.array(findingSchema).default([]),
    asked: z
      .array(findingSchema)
      .max(500)
      .optional()
      .describe('findings of the visits before, as they stood when this look was begun'),
    frontLine: z.enum(FRONT_LINES).optional(),
    sideLine: z.enum(SIDE_LINES).optional(),
    landing: z.enum(LANDINGS).optional(),
    lost: z.boolean().optional().describe('the shoe was lost since the last visit'),
    loose: z.boolean().optional().describe('it was still on, and loose'),
    lossReason: z.enum(LOSS_REASONS).optional().describe('how it likely came to that'),
    oldShoe: oldShoeSchema.default({}),
    untrimmed: untrimmedSchema.default({}),
    solePlane: textSchema.default('').describe('note on the sole plane'),
    lookedFor: z.array(lookedForSchema).max(100).optional().describe('what should come of what was agreed'),
  })
  .strict()

/** What the vet said: it leads. */
export const vetWordSchema = z
  .object({
    diagnosis: z.enum(DIAGNOSES).default('none'),
    legs: z.array(sideSchema).optional().describe('in which legs; none where it was not said'),
    words: textSchema.default(''),
    limits: textSchema.default(''),
    nails: z.enum(VET_NAIL_RULES).optional().describe('where the vet lets nails be driven'),
    who: lineSchema.default(''),
    on: z.union([daySchema, z.literal('')]).default(''),
  })
  .strict()

/** What the farrier did with a piece of advice. */
export const ADVICE_CHOICES = ['accepted', 'changed', 'dismissed'] as const
export const adviceChoiceSchema = z
  .object({
    code: lineSchema,
    side: sideSchema,
    choice: z.enum(ADVICE_CHOICES),
    reason: textSchema.default(''),
    at: z.iso.datetime(),
  })
  .strict()

/** That a call for the vet was read, and what was said to it. */
export const acknowledgementSchema = z
  .object({
    gate: lineSchema,
    title: lineSchema,
    words: textSchema.default(''),
    at: z.iso.datetime(),
    allows: z.literal('shoe').optional().describe('the vet lets a shoe be put on'),
  })
  .strict()

/** Everything looked at before any iron is touched, at one visit. */
export const lookSchema = z
  .object({
    id: idSchema,
    version: versionSchema,
    createdAt: stampSchema,
    updatedAt: stampSchema,
    visitId: idSchema,
    vet: vetWordSchema,
    ways: z
      .object({
        work: z.enum(WORKS).optional(),
        going: z.enum(GOINGS).optional(),
        living: z.enum(LIVINGS).optional(),
        interference: z.array(z.enum(INTERFERENCES)).default([]),
        notes: textSchema.default(''),
      })
      .strict(),
    feet: z
      .object({
        LF: footLookSchema,
        RF: footLookSchema,
        LH: footLookSchema,
        RH: footLookSchema,
      })
      .strict(),
    advice: z.array(adviceChoiceSchema).default([]),
    acknowledged: z.array(acknowledgementSchema).default([]),
  })
  .strict()

export type Finding = z.infer<typeof findingSchema>
export type Answer = (typeof ANSWERS)[number]
export type OldShoe = z.infer<typeof oldShoeSchema>
export type Untrimmed = z.infer<typeof untrimmedSchema>
export type LookedFor = z.infer<typeof lookedForSchema>
export type FootLook = z.infer<typeof footLookSchema>
export type VetWord = z.infer<typeof vetWordSchema>
export type AdviceChoice = z.infer<typeof adviceChoiceSchema>
export type Acknowledgement = z.infer<typeof acknowledgementSchema>
export type Look = z.infer<typeof lookSchema>
