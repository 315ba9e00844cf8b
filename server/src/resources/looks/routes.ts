import * as z from 'zod'
import { advise, gatesOf, closedGates, readFoot, type Advice, type Gate } from '@crescent/core'
import { footSchema, lookSchema, sideSchema } from '@crescent/core/records/index'
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

interface AdviceAnswer {
  advice: Advice[]
  /** Every finding that calls for the vet, and those nobody has acknowledged. */
  gates: Gate[]
  closed: Gate[]
}

/** What was looked at, and what can be concluded from it. */
export const lookRoutes: Route[] = [
  ...recordRoutes('looks', 'look', lookSchema, (practice) => practice.looks, CHECKS.look),
  withBody({
    method: 'post',
    path: '/advice',
    summary: 'Advice for one foot from what was looked at, and the findings that call for the vet',
    body: adviceRequest,
    reads: true,
    answers: { 400: 'What does not fit, by path' },
    run: ({ body: { look, side, cycleWeeks, weeksSince, foot } }): AdviceAnswer => {
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
