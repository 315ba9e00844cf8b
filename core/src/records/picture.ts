import * as z from 'zod'
import { PICTURE_KINDS, PICTURE_SIGNS } from '../terms/picture-kinds'
import { daySchema, idSchema, lineSchema, stored } from './common'
import { sideSchema } from './foot'

const pixels = z.number().int().min(16).max(20_000)
const place = z.tuple([z.number().min(0).max(20_000), z.number().min(0).max(20_000)])

/** A picture that stays with a visit, and what was marked on it. */
export const pictureSchema = z
  .object({
    ...stored,
    visitId: idSchema,
    side: sideSchema,
    kind: z.enum(PICTURE_KINDS),
    name: lineSchema.default('').describe('of the file it came from'),
    width: pixels,
    height: pixels,
    mmPerPixel: z
      .number()
      .min(0.005)
      .max(5)
      .nullable()
      .describe('in the plane of the foot; null until it is known'),
    marks: z
      .record(z.string().max(30), place)
      .refine((marks) => Object.keys(marks).length <= 60, 'At most 60 places are marked')
      .describe('places by their names, pixels'),
    file: z
      .string()
      .max(PICTURE_SIGNS, 'The picture is larger than three megabytes')
      .regex(/^\/9j\/[A-Za-z0-9+/]+=*$/, 'A JPEG file in base 64')
      .describe('a JPEG file in base 64, without tags of place or owner'),
  })
  .strict()

/** A picture as it is listed, without its file, with the day of its visit. */
export const listedPictureSchema = pictureSchema.omit({ file: true }).extend({ date: daySchema }).strict()

export type StoredPicture = z.infer<typeof pictureSchema>
export type ListedPicture = z.infer<typeof listedPictureSchema>
