import * as z from 'zod'
import { HALVES } from '@crescent/core'
import { planBends, TOLERANCE } from '@crescent/core/anvil'
import { footSchema, HEEL_MEASURES, shoeSchema } from '@crescent/core/records/index'
import { withBody, type Route } from '../../http/route'
import { toldSchema } from '../told-schema'

const mm = z.number()
const place = z.number().min(-2_000).max(2_000)
const points = z
  .array(z.tuple([place, place]))
  .max(2_000)
  .describe('along the centreline from the lateral to the medial heel, mm')

const bendRequest = z
  .object({
    target: z.union([
      z.object({ foot: footSchema, shoe: shoeSchema }).strict(),
      z.object({ points }).strict(),
    ]),
    shape: z.union([
      z.object({ points }).strict(),
      z
        .object({
          width: mm.min(40).max(400).describe('outside, at the widest, mm'),
          heelWidth: mm.min(5).max(400),
          heelMeasure: z.enum(HEEL_MEASURES).default('outside'),
          length: mm.min(40).max(500).describe('outside of the toe to a line across the heel ends, mm'),
        })
        .strict(),
    ]),
    tolerance: mm.default(TOLERANCE).describe('how far off it may be left anywhere, mm'),
  })
  .strict()

const line = z.array(z.tuple([mm, mm]))

const bendAnswer = z
  .object({
    within: z.boolean(),
    residual: mm.describe('greatest distance off the pattern once all is done, mm'),
    before: mm.describe('and before anything was'),
    noise: mm.describe('by how much single points scatter'),
    unsure: z.boolean().describe('it may be off still, but the points do not say where'),
    bends: z.array(
      z
        .object({
          branch: z.enum(HALVES),
          fromToe: mm.describe('along the centreline from the middle of the toe, mm'),
          angle: z.number().describe('degrees; plus opens'),
          opens: z.boolean(),
          place: z.string(),
          how: toldSchema,
          heelMoves: mm.describe('the end of the branch, outward, mm'),
        })
        .strict(),
    ),
    shapes: z.array(line).describe('the points after each bend, in their own frame'),
    laid: z.array(line).describe('the shape laid over its pattern, before and after each bend'),
    notes: z.array(toldSchema),
  })
  .strict()

/** What to bend on the anvil. */
export const fittingRoutes: Route[] = [
  withBody({
    method: 'post',
    path: '/bend-plan',
    beside: 'reckoning',
    summary: 'The fewest corrections that bring a shape on the anvil to its pattern, from toe to heel',
    body: bendRequest,
    answer: bendAnswer,
    reads: true,
    answers: { 400: 'Every figure that is missing or not possible, by path' },
    run: ({ body: { target, shape, tolerance } }) => planBends(target, shape, tolerance),
  }),
]
