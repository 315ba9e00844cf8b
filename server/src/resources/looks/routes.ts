import * as z from 'zod'
import { gatesOf, closedGates, readFoot } from '@crescent/core'
import { advise } from '@crescent/core/advice'
import { footSchema, lookSchema, sideSchema } from '@crescent/core/records/index'
import { adviceAnswerSchema } from './answer'
import { CHECKS } from '../checks'
import { withBody, type Route } from '../../http/route'
import { recordRoutes } from '../record-routes'

const adviceRequest = z
  .object({
    look: lookSchema,
    side: sideSchema,
    cycleWeeks: z.number().min(1).max(30).default(7),
    weeksSince: z.number().min(0).max(500).optional(),
    foot: footSchema.optional(),
  })
  .strict()

/** What was looked at, and what can be concluded from it. */
export const lookRoutes: Route[] = [
  ...recordRoutes({
    path: 'looks',
    what: 'look',
    schema: lookSchema,
    table: ({ looks }) => looks,
    check: CHECKS.look,
  }),
  withBody({
    method: 'post',
    path: '/advice',
    summary: 'Advice for one foot from what was looked at, and the findings that call for the vet',
    body: adviceRequest,
    answer: adviceAnswerSchema,
    reads: true,
    answers: { 400: 'What does not fit, by path' },
    run: ({ body: { look, side, cycleWeeks, weeksSince, foot } }) => {
      const measured = foot && readFoot(foot)
      return {
        advice: advise({
          look,
          side,
          cycleWeeks,
          ...(weeksSince !== undefined && { weeksSince }),
          ...(measured?.ok && { foot: measured.value.foot }),
        }),
        gates: gatesOf(look),
        closed: closedGates(look),
      }
    },
  }),
]
