import * as z from 'zod'
import { daySchema, horseSummarySchema, roundSchema, roundWeekSchema } from '@crescent/core/records/index'
import { addDays } from '@crescent/core'
import { read } from '../../http/door'
import { dayIronSchema, ironOfDay } from './iron'
import { withBody, type Route } from '../../http/route'
import { dayAsked } from '../record-routes'
import { movedDue } from '../visits/due'
import { weekOf } from './week'

const weekQuery = z.object({ days: z.coerce.number().int().min(1).max(42).default(7) })
const dueRequest = z
  .object({
    date: daySchema,
    was: daySchema.nullable().describe('the day it is put from, as it was seen'),
  })
  .strict()

/** So many days ahead steps of courses and calls are told. */
const AHEAD = 7

export const roundRoutes: Route[] = [
  {
    method: 'get',
    path: '/round',
    summary: 'What a day holds: overdue, due within the week, visited, steps of courses and calls promised',
    answer: roundSchema,
    query: { date: 'the day, 2026-11-23' },
    run: ({ practice, request }) => {
      const day = dayAsked(request.query['date'])
      const until = addDays(day, AHEAD)
      return {
        ...practice.horses.round(day),
        steps: practice.courses.open(until),
        calls: practice.calls.open(until),
      }
    },
  },
  {
    method: 'get',
    path: '/round/week',
    beside: 'reading',
    summary:
      'The days from one on: who is due when and where, how long it takes, what it needs from the van; steps and calls',
    answer: roundWeekSchema,
    query: { date: 'the first day, 2026-11-23', days: '1 to 42, else 7' },
    run: ({ practice, request }) => {
      const { days } = read(weekQuery, request.query)
      return weekOf(practice, dayAsked(request.query['date']), days)
    },
  },
  withBody({
    method: 'put',
    path: '/horses/:id/due',
    summary: 'Puts the next visit of a horse on another day',
    body: dueRequest,
    answer: horseSummarySchema,
    answers: {
      404: 'No such horse, or it was never visited',
      409: 'It was put on another day elsewhere meanwhile; `current` is the horse as it is',
    },
    run: ({ practice, request, body }) => movedDue(practice, request.params['id'] as string, body),
  }),
  {
    method: 'get',
    path: '/round/iron',
    beside: 'reading',
    summary: 'Bars, pieces and factory sizes that the shoes of a day take',
    answer: dayIronSchema,
    query: {
      date: 'the day, 2026-11-23',
      due: 'true: horses that are due by then too, with what they wear now',
    },
    run: ({ practice, request }) =>
      ironOfDay(practice, dayAsked(request.query['date']), request.query['due'] === 'true'),
  },
]
