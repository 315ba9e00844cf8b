import * as z from 'zod'
import { datedJobSchema, jobSchema, learnedCutSchema } from '@crescent/core/records/index'
import type { Route } from '../../http/route'
import { CHECKS } from '../checks'
import { LIST_QUERY, listQuery, recordRoutes } from '../record-routes'
import { learnedOf } from './learned'

/** Shoes that were cut and made, and what they taught. */
export const jobRoutes: Route[] = [
  {
    method: 'get',
    path: '/jobs',
    summary: 'Logged jobs, the newest first',
    query: { limit: LIST_QUERY.limit },
    answer: z.array(datedJobSchema),
    run: ({ practice, request }) => practice.jobs.newest(listQuery(request.query).limit),
  },
  {
    method: 'get',
    path: '/jobs/learned',
    summary: 'What they taught of the next cut, by bar and style',
    answer: z.array(learnedCutSchema),
    run: ({ practice }) => learnedOf(practice),
  },
  ...recordRoutes({
    path: 'jobs',
    what: 'job',
    schema: jobSchema,
    table: ({ jobs }) => jobs,
    check: CHECKS.job,
  }),
]
