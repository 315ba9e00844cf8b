import * as z from 'zod'
import { planShoe } from '@crescent/core'
import { BEARING_PARTS, GOING_KEYS, goingOf, goingWords, GROUND_RANGES, groundOf } from '@crescent/core/going'
import { footSchema, shoeSchema, workshopSchema } from '@crescent/core/records/index'
import { withBody, type Route } from '../../http/route'
import { toldSchema } from '../told-schema'

const mm = z.number()
const within = ([low, high]: readonly [number, number]) => z.number().min(low).max(high)
const stiffness = within(GROUND_RANGES.stiffness)
const place = z.number().min(-500).max(500)

const goingRequest = z
  .object({
    foot: footSchema,
    shoe: shoeSchema,
    workshop: workshopSchema.optional(),
    ground: z.union([
      z.object({ kind: z.enum(GOING_KEYS) }).strict(),
      z
        .object({
          stiffness: stiffness.describe('N/mm3: load for a mm2 of bearing and a mm of sink'),
          edge: within(GROUND_RANGES.edge)
            .default(0)
            .describe('N/mm2: load for a mm of edge and a mm of sink'),
        })
        .strict(),
    ]),
    load: z
      .object({
        newtons: z.number().min(1).max(100_000),
        at: z
          .tuple([place, place])
          .optional()
          .describe('in the foot’s frame, mm; beneath the centre of rotation where it is not said'),
      })
      .strict(),
    packing: z
      .object({
        covers: z.enum(['frog', 'sole']),
        stiffness: within([0.001, 100]).describe('N/mm3'),
      })
      .strict()
      .optional(),
  })
  .strict()

const tilt = z.object({ foreAft: z.number(), sideways: z.number() }).strict()

const goingAnswer = z
  .object({
    sink: z
      .object({ toe: mm, lateralHeel: mm, medialHeel: mm })
      .strict()
      .describe('mm below where it stands on a hard floor; minus: it comes up'),
    tilt: tilt.describe(
      'degrees against a hard floor: plus with the heels sinking, plus with the outer side sinking',
    ),
    onFloor: tilt.describe('degrees it tilts on a hard floor already, over studs and rails'),
    contactShare: z.number().describe('of all that may bear'),
    shares: z
      .partialRecord(z.enum(BEARING_PARTS.map(({ key }) => key)), z.number())
      .describe('of the load, by part'),
    pressure: z.object({ max: z.number().describe('N/mm2'), at: z.tuple([mm, mm]) }).strict(),
    deepest: mm,
    soleMeets: z.boolean().describe('sole and frog would meet the ground too; they are not reckoned'),
    told: z.array(toldSchema),
  })
  .strict()

/** How a shoe stands in the ground. */
export const goingRoutes: Route[] = [
  withBody({
    method: 'post',
    path: '/going',
    beside: 'reckoning',
    summary: 'How a made shoe sinks and tilts in a going under a load, and which of its parts carry',
    body: goingRequest,
    answer: goingAnswer,
    reads: true,
    answers: { 400: 'Every figure that is missing or not possible, by path' },
    run: ({ body: { foot, shoe, workshop, ground, load, packing } }) => {
      const {
        plane: _plane,
        inGround: _inGround,
        bed: _bed,
        ...going
      } = goingOf(planShoe(foot, shoe, workshop), {
        ground: 'kind' in ground ? groundOf(ground.kind) : ground,
        load: { newtons: load.newtons, ...(load.at && { at: load.at }) },
        ...(packing && { packing }),
      })
      return { ...going, told: goingWords(going) }
    },
  }),
]
