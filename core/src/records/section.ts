import * as z from 'zod'
import { MATERIALS, SECTION_SHAPES } from '../terms/sections'

/** The bar a shoe is made of. */
export const sectionSchema = z
  .object({
    shape: z.enum(SECTION_SHAPES),
    width: z.number().describe('mm'),
    thickness: z.number().describe('mm'),
    material: z.enum(MATERIALS),
  })
  .strict()

export type Section = z.infer<typeof sectionSchema>
