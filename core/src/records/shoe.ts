import * as z from 'zod'
import { FIT_NAMES } from '../terms/fits'
import { SOLE_RESTS } from '../terms/moulded'
import { WAYS_BACK } from '../terms/ways-back'
import { NAIL_SCHOOL_NAMES } from '../terms/nail-schools'
import { NAIL_LIMIT_RULES, NAIL_LIMIT_SOURCES } from '../terms/nail-limits'
import { NAIL_RANGES } from '../terms/nail-ranges'
import { sectionSchema, type Section } from './section'
import { sectionOf } from '../terms/size-kinds'
import { daySchema } from './common'
import { sizeFactsSchema } from './size'

export { sectionSchema, type Section } from './section'

const mm = z.number().describe('mm')

/** The numbers behind a fit; those left out come from the general fit. */
export const fitNumbersSchema = z
  .object({
    spread: mm.optional().describe('how far the rim stands outside the wall at the buttress, mm'),
    heelLength: mm
      .optional()
      .describe('how far the branch goes on behind the buttress, mm; minus ends before it'),
    toeSetBack: mm.optional().describe('how far the toe of the rim is set back under the wall, mm'),
    behind: z.enum(WAYS_BACK).optional().describe('which way the branch goes on behind the buttress'),
  })
  .strict()

const drivenSchema = z.array(z.number().int()).describe('numbers of the holes that get a nail, 1 at the toe')

const holeSchema = z
  .object({
    number: z.number().int().min(1).max(6),
    fromToe: mm.optional().describe('along the outer rim from the middle of the toe, mm'),
    inset: mm.optional().describe('from the outer rim, mm'),
    lean: z.number().optional().describe('degrees from the ground'),
    seen: mm.optional().describe('how high its nail came out when it was driven, mm'),
  })
  .strict()

/** A plain list of driven holes, or the list with the count of holes beside it. */
const branchNailsSchema = z.union([
  drivenSchema,
  z
    .object({
      holes: z.number().int().optional().describe('holes in this branch'),
      driven: drivenSchema.optional(),
      first: mm.optional().describe('first hole, along the outer rim from the middle of the toe, mm'),
      last: mm.optional().describe('last hole, along the outer rim from the middle of the toe, mm'),
      each: z.array(holeSchema).max(6).optional().describe('what is said of single holes'),
    })
    .strict(),
])

/** A limit on the nails of this foot that was overruled: which, and why. */
export const overruledSchema = z
  .object({
    rule: z.enum(NAIL_LIMIT_RULES),
    by: z.enum(NAIL_LIMIT_SOURCES),
    reason: z.string().trim().min(1).max(2_000),
  })
  .strict()

/** What is said of a shoe beside what it is made of. */
const design = {
  fit: z.union([z.enum(FIT_NAMES), fitNumbersSchema]),
  modifications: z
    .array(z.object({ kind: z.string() }).catchall(z.union([z.string(), z.number()])))
    .optional(),
  nails: z
    .object({
      lateral: branchNailsSchema.optional(),
      medial: branchNailsSchema.optional(),
      school: z.enum(NAIL_SCHOOL_NAMES).optional().describe('whose limits hold; sound if not said'),
      overruled: z
        .array(overruledSchema)
        .max(20)
        .optional()
        .describe('limits of the foot that were overruled, each with a reason'),
      size: z.string().max(40).optional().describe('nail out of the workshop’s table'),
    })
    .strict()
    .optional(),
}

/** A factory shoe as it lies in the box: its facts are copied, so that a table changed later changes no record. */
const sizeStockSchema = z
  .object({
    kind: z.literal('size'),
    facts: sizeFactsSchema,
    sizeId: z.uuid().optional().describe('of the table it was taken from'),
    cutOff: z
      .object({ lateral: mm.optional(), medial: mm.optional() })
      .strict()
      .optional()
      .describe('cut off each heel, mm along the centreline'),
    moved: z
      .object({
        across: mm.optional().describe('toward the outer side, mm'),
        forward: mm.optional().describe('mm'),
        turn: z.number().optional().describe('degrees; plus brings the toe to the inner side'),
      })
      .strict()
      .optional()
      .describe('a moulded shoe: moved from where it lies flush with the inner wall'),
    rest: z.enum(SOLE_RESTS).optional().describe('how a moulded shoe meets the sole'),
    fitted: z
      .object({ since: daySchema, resets: z.number().int().min(0).max(60) })
      .strict()
      .optional()
      .describe('since when it is worn, and how often it was reset'),
  })
  .strict()

const barStockSchema = z.object({ kind: z.literal('bar'), section: sectionSchema }).strict()

/** As it may be sent: a bar by itself or as its stock, or a factory size. */
const sentShoeSchema = z
  .object({
    section: sectionSchema.optional(),
    stock: z.discriminatedUnion('kind', [barStockSchema, sizeStockSchema]).optional(),
    ...design,
  })
  .strict()

/** As it is kept: the section is always there, a factory size beside it where it is one. */
const keptShoeSchema = z
  .object({ section: sectionSchema, stock: sizeStockSchema.optional(), ...design })
  .strict()

export const shoeSchema = sentShoeSchema
  .transform((shoe, context) => {
    const { stock, section, ...rest } = shoe
    if (stock?.kind === 'size') return { ...rest, section: sectionOf(stock.facts), stock }
    const bar: Section | undefined = stock?.section ?? section
    if (bar) return { ...rest, section: bar }
    context.addIssue({
      code: 'custom',
      path: ['section'],
      message: 'A bar or a factory size is needed to make a shoe of',
      input: shoe,
    })
    return z.NEVER
  })
  .pipe(keptShoeSchema)

const within = ([low, high]: readonly [number, number]) => z.number().min(low).max(high)

/** A nail as it lies in the box: blade, shank where it enters the wall, head; mm. */
export const nailSizeSchema = z
  .object({
    name: z.string().trim().min(1).max(40),
    length: within(NAIL_RANGES.length),
    shank: within(NAIL_RANGES.shank),
    head: within(NAIL_RANGES.head),
  })
  .strict()

/** How this workshop works: figures that are the same for every shoe it makes. */
export const workshopSchema = z
  .object({
    scaleLoss: mm.optional().describe('bar lost to scale and dressing on one shoe, mm'),
    correction: mm.optional().describe('what this workshop adds to every cut, mm; may be minus'),
    cutFactor: z
      .number()
      .optional()
      .describe(
        'what was learned from logged jobs of this bar and style: needed for each millimetre predicted',
      ),
    learn: z.boolean().optional().describe('false: logged jobs correct no cut'),
    turningRadius: mm.optional().describe('radius of the arc along which a nail turns outward, mm'),
    nailSizes: z.array(nailSizeSchema).min(1).max(40).optional().describe('the nails on the shelf'),
  })
  .strict()

export type Overruled = z.infer<typeof overruledSchema>
export type NailSize = z.infer<typeof nailSizeSchema>
export type FitNumbers = z.infer<typeof fitNumbersSchema>
export type SizeStock = z.infer<typeof sizeStockSchema>
export type ShoeInput = z.infer<typeof shoeSchema>
export type WorkshopInput = z.infer<typeof workshopSchema>
