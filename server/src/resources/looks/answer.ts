import * as z from 'zod'
import { sideSchema } from '@crescent/core/records/index'

const gateSchema = z
  .object({
    key: z.string().describe('names finding, foot and grade: a finding that gets worse asks again'),
    side: sideSchema.optional(),
    title: z.string(),
    text: z.string(),
    action: z.string(),
  })
  .strict()

const adviceSchema = z
  .object({
    code: z.string(),
    codes: z.array(z.string()).describe('every rule that asks for this very change'),
    topic: z.string(),
    title: z.string(),
    school: z.string(),
    reason: z.string(),
    against: z.string(),
    vetLeads: z.boolean().optional(),
    brings: z.array(z.string()).optional(),
    avoids: z.array(z.string()).optional(),
    change: z
      .object({
        fit: z.string().optional(),
        driven: z.object({ lateral: z.array(z.number()), medial: z.array(z.number()) }).optional(),
        breakoverSchool: z.string().optional(),
        nailSchool: z.string().optional(),
        modification: z.string().optional(),
      })
      .strict()
      .optional()
      .describe('what it does to the shoe when it is accepted'),
    signs: z
      .array(z.object({ key: z.string(), asks: z.string() }).strict())
      .optional()
      .describe('what should come of it by the next visit'),
    soFar: z.array(z.string()).describe('what came of it, where it was followed'),
    failed: z.boolean().describe('what was looked for did not come: other ways stand before it'),
    clashes: z.array(z.object({ code: z.string(), title: z.string(), over: z.array(z.string()) }).strict()),
  })
  .strict()

/** What `POST /advice` answers. */
export const adviceAnswerSchema = z
  .object({
    advice: z.array(adviceSchema),
    gates: z.array(gateSchema).describe('every finding that calls for the vet'),
    closed: z.array(gateSchema).describe('those nobody has acknowledged'),
  })
  .strict()
