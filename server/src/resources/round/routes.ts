import { daySchema, roundSchema } from '@crescent/core/records/index'
import { BadRequest } from '../../http/door'
import type { Route } from '../../http/route'

export const roundRoutes: Route[] = [
  {
    method: 'get',
    path: '/round',
    summary: 'What a day holds: overdue, due within the week, visited',
    answer: roundSchema,
    query: { date: 'the day, 2026-11-23' },
    run: ({ practice, request }) => {
      const date = daySchema.safeParse(request.query['date'])
      if (!date.success)
        throw new BadRequest([{ path: 'date', message: 'A day is needed, written 2026-11-23' }])
      return practice.horses.round(date.data)
    },
  },
]
