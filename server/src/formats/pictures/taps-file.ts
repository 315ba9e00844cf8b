import { CARDS, PHOTO_TAPS } from '@crescent/core/photographs'
import * as z from 'zod'

const at = z.tuple([z.number(), z.number()])

/** What is asked of a photograph: what it shows, the card in it, and its seven taps in pixels of the upright picture. */
export const tapsFileSchema = z.object({
  object: z.enum(['foot', 'shoe']),
  card: z.enum(CARDS.map(({ key }) => key)).optional(),
  centreDistance: z.number().min(20, 'at least 20 mm').max(400, 'at most 400 mm').optional(),
  height: z.number().min(-100, 'at least -100 mm').max(200, 'at most 200 mm').optional(),
  focal35: z.number().min(8, 'at least 8 mm').max(400, 'at most 400 mm').optional(),
  taps: z.object(
    Object.fromEntries(PHOTO_TAPS.map(({ key }) => [key, at])) as Record<
      (typeof PHOTO_TAPS)[number]['key'],
      typeof at
    >,
  ),
})

/** The first thing that is wrong with such a file, by its place. */
export function firstFault({ issues }: z.ZodError): string {
  const { path, message } = issues[0]!
  return `${path.join('.') || 'The file'}: ${message}`
}
