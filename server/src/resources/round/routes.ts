import { daySchema, roundSchema } from '@crescent/core/records/index'
import { addDays } from '@crescent/core'
import { BadRequest } from '../../http/door'
import { dayIronSchema, ironOfDay } from './iron'
import type { Route } from '../../http/route'

/** So many days ahead steps of courses are told. */
const AHEAD = 7

export const roundRoutes: Route[] = [
  {
    method: 'get',
    path: '/round',
    summary: 'What a day holds: overdue, due within the week, visited, and steps of courses',
    answer: roundSchema,
    query: { date: 'the day, 2026-11-23' },
    run: ({ practice, request }) => {
      const day = dayAsked(request.query['date'])
      return { ...practice.horses.round(day), steps: practice.courses.open(addDays(day, AHEAD)) }
    },
  },
  {
    method: 'get',
    path: '/round/iron',
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

/** @throws BadRequest where it is no day */
function dayAsked(sent: unknown): string {
  const date = daySchema.safeParse(sent)
  if (date.success) return date.data
  throw new BadRequest([{ path: 'date', message: 'A day is needed, written 2026-11-23' }])
}
