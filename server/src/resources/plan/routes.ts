import * as z from 'zod'
import { planShoe } from '@crescent/core'
import { footSchema, shoeSchema, workshopSchema } from '@crescent/core/records/index'
import { planAnswerSchema } from './answer'
import { withBody, type Route } from '../../http/route'

const planRequest = z
  .object({ foot: footSchema, shoe: shoeSchema, workshop: workshopSchema.default({}) })
  .strict()

export const planRoutes: Route[] = [
  withBody({
    method: 'post',
    path: '/plan',
    summary: 'From a foot and a shoe to outlines, iron, nails and cautions',
    body: planRequest,
    answer: planAnswerSchema,
    reads: true,
    answers: { 400: 'Every figure that is missing or not possible, by path' },
    run: ({ body: { foot, shoe, workshop } }) => planShoe(foot, shoe, workshop),
  }),
]
