import * as z from 'zod'
import {
  markingProblems,
  radiographFigures,
  RADIOGRAPH_POINT_KEYS,
  trimPlan,
} from '@crescent/core/radiographs'
import { withBody, type Route } from '../../http/route'
import { toldSchema } from '../told-schema'

const pixel = z.number().min(-40_000).max(40_000)
const figuresRequest = z
  .object({
    points: z
      .partialRecord(z.enum(RADIOGRAPH_POINT_KEYS), z.tuple([pixel, pixel]))
      .describe('places that were marked, pixels of the picture, x to the right and y down'),
    mmPerPixel: z.number().min(0.001).max(50).describe('in the plane of the foot'),
    wanted: z
      .object({
        palmarAngle: z.number().min(-10).max(30).describe('degrees'),
        soleDepth: z
          .number()
          .min(0)
          .max(60)
          .default(15)
          .describe('to keep under the tip, mm; never under 15'),
        behindTip: z.number().min(0).max(40).default(0).describe('breakover behind the tip of P3, mm'),
      })
      .strict()
      .optional()
      .describe('what trim and shoe shall come to, where that is planned'),
  })
  .strict()

const mm = z.number()
const figures = z.array(
  z
    .object({
      key: z.string(),
      unit: z.enum(['degrees', 'mm', 'share']),
      value: z.number().nullable(),
      uncertainty: z.number().nullable().describe('one deviation, for half a mm of error at each place'),
      lacks: z.array(z.string()).optional().describe('places it is read from that are not marked'),
    })
    .strict(),
)
const figuresAnswer = z
  .object({
    figures,
    problems: z.array(toldSchema).describe('places that lie where they cannot: nothing is planned on them'),
    plan: z
      .object({
        trimToe: mm.describe('taken at the toe, running out at the heel'),
        trimHeel: mm,
        raise: z.number().describe('degrees by which rail or wedge is to raise the heels'),
        palmarAfterTrim: z.number().describe('degrees'),
        palmarAfterShoe: z.number(),
        soleAfterTrim: mm.describe('under the tip'),
        soleUnderWing: mm.optional(),
        breakoverFromToe: mm.optional().describe('behind the toe of the trimmed wall'),
        breakoverAt: mm.describe('from the hindmost bearing forward, along the trimmed ground'),
        leverAfter: mm.optional(),
        trimmed: figures.describe('the figures as they will be once the foot is trimmed'),
        notes: z.array(toldSchema),
      })
      .strict()
      .nullable()
      .describe('null where nothing was wanted, or the places give none'),
  })
  .strict()

/** Lateral radiographs as they are read: the vet leads, these figures are for talking it over. */
export const radiographRoutes: Route[] = [
  withBody({
    method: 'post',
    path: '/radiograph-figures',
    beside: 'reckoning',
    summary:
      'Figures of a lateral radiograph from the places marked on it; trim and shoe planned where asked',
    body: figuresRequest,
    answer: figuresAnswer,
    reads: true,
    answers: { 400: 'What is wrong, by path' },
    run: ({ body: { points, mmPerPixel, wanted } }) => ({
      figures: radiographFigures(points, mmPerPixel),
      problems: markingProblems(points, mmPerPixel),
      plan: (wanted && trimPlan(points, mmPerPixel, wanted)) ?? null,
    }),
  }),
]
