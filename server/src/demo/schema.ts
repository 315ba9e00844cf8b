import * as z from 'zod'
import {
  animalSchema,
  FIT_NAMES,
  findingSchema,
  footLookSchema,
  lookSchema,
  MATERIALS,
  sideSchema,
  signAnswerSchema,
  vetWordSchema,
} from '@crescent/core/records/index'

const length = z.string()
const footSchema = z.tuple([
  length,
  length,
  length,
  z.number(),
  length,
  z.record(z.string(), z.union([z.number(), length])),
])

/** What is found on some of the horses, foot by foot: kind, place, grade, note. */
const demoFindings = z.array(
  z.tuple([findingSchema.shape.kind, findingSchema.shape.place, z.number(), z.string()]),
)
const demoLookSchema = z.object({
  vet: vetWordSchema.omit({ on: true }).optional(),
  ways: lookSchema.shape.ways.partial().optional(),
  /** Advice agreed for a foot, and what was answered at each visit after it. */
  agreed: z
    .partialRecord(sideSchema, z.record(z.string(), z.array(signAnswerSchema.shape.answer)))
    .optional(),
  feet: z
    .partialRecord(
      sideSchema,
      footLookSchema
        .pick({ landing: true, frontLine: true, sideLine: true, lost: true, solePlane: true })
        .partial()
        .extend({
          findings: demoFindings.optional(),
        }),
    )
    .optional(),
})

/** The demo practice as it is written down in demo/practice.json. */
export const demoSchema = z.object({
  about: z.string(),
  owners: z.array(
    z.object({
      key: z.string(),
      name: z.string(),
      phone: z.string(),
      email: z.string(),
      place: z.string(),
      notes: z.string(),
    }),
  ),
  horses: z.array(
    z.object({
      name: z.string(),
      owner: z.string(),
      animal: animalSchema,
      work: z.string(),
      going: z.string(),
      living: z.string(),
      place: z.string(),
      cycleWeeks: z.number(),
      bodyWeight: z.number().nullable().default(null),
      age: z.number().int().nullable().default(null).describe('years'),
      /** Days since the last visit. */
      lastDays: z.number(),
      notes: z.string(),
      /** How many millimetres a year the feet widen. */
      trend: z.number(),
      look: demoLookSchema.optional(),
      fore: footSchema,
      hind: footSchema.optional(),
      /** What the left fore differs by. */
      left: z.record(z.string(), length).optional(),
      shoe: z.object({
        tags: z.array(z.string()).optional(),
        section: z.tuple([length, length]),
        fit: z.union([z.enum(FIT_NAMES), z.record(z.string(), length)]),
        name: z.string(),
        /** Kinds of modification by foot, with their defaults. */
        modifications: z
          .partialRecord(sideSchema, z.array(z.union([z.string(), z.looseObject({ kind: z.string() })])))
          .optional(),
        /** Feet that wear another bar: width, thickness, metal. */
        bars: z.partialRecord(sideSchema, z.tuple([length, length, z.enum(MATERIALS)])).optional(),
        /** How high the nails came out, mm, hole by hole from the toe. */
        seen: z
          .partialRecord(sideSchema, z.object({ lateral: z.array(z.number()), medial: z.array(z.number()) }))
          .optional(),
      }),
    }),
  ),
})

export type Demo = z.infer<typeof demoSchema>
export type DemoHorse = Demo['horses'][number]
