import * as z from 'zod'
import { callSchema, idSchema } from '@crescent/core/records/index'
import { read } from '../../http/door'
import type { Route } from '../../http/route'
import { CHECKS } from '../checks'
import { recordRoutes } from '../record-routes'

const listQuery = z.object({ horse: idSchema })

/** Calls that were promised. */
export const callRoutes: Route[] = [
  {
    method: 'get',
    path: '/calls',
    summary: 'Calls promised for a horse: those not made yet first',
    query: { horse: 'id of the horse' },
    answer: z.array(callSchema),
    answers: { 400: 'No horse was named' },
    run: ({ practice, request }) => practice.calls.ofHorse(read(listQuery, request.query).horse),
  },
  ...recordRoutes({
    path: 'calls',
    what: 'call',
    schema: callSchema,
    table: ({ calls }) => calls,
    check: CHECKS.call,
  }),
]
