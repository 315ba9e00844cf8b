import { dayOn } from '../../database/day-on'
import * as z from 'zod'
import { triesOverTime } from '@crescent/core/anvil'
import { datedTrySchema, trySchema } from '@crescent/core/records/index'
import type { Route } from '../../http/route'
import { recordRoutes } from '../record-routes'
import { overTimeSchema } from './answer'

/** Looked back so far unless somebody asks for more, days: what a farrier did years ago says little of today. */
const LOOKED_BACK = 730

const DAY = 86_400_000

/** Shoes tried on: each as it was logged, and what comes back over time. */
export const tryRoutes: Route[] = [
  {
    method: 'get',
    path: '/tries',
    summary: 'Shoes that were tried on at a visit, in the order they were logged',
    query: { visit: 'id of the visit' },
    answer: z.array(datedTrySchema),
    run: ({ practice, request: { query } }) =>
      practice.tries.dated({ visitId: typeof query['visit'] === 'string' ? query['visit'] : '' }),
  },
  {
    method: 'get',
    path: '/tries/over-time',
    beside: 'reading',
    summary:
      'Which corrections come back, the usual error of first shapes by branch, what a shoe takes: the last two years',
    answer: overTimeSchema,
    run: ({ practice }) => {
      const since = dayOn(new Date(Date.now() - LOOKED_BACK * DAY))
      return triesOverTime(practice.tries.dated({ since }))
    },
  },
  ...recordRoutes({ path: 'tries', what: 'try', schema: trySchema, table: ({ tries }) => tries }),
]
