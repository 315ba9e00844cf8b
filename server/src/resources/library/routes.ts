import * as z from 'zod'
import { dayOn } from '../../database/day-on'
import { NotFound, read } from '../../http/door'
import type { Route } from '../../http/route'
import { daysFields, inOrder } from '../days-asked'
import { HEAD, LISTS } from './lists'
import { libraryOfHorse } from './of-horse'

/** A library as it goes out: its head and its lists of records. */
export const librarySchema = z.object({
  ...HEAD,
  ...Object.fromEntries(Object.entries(LISTS).map(([name, { schema }]) => [name, z.array(schema)])),
})

const daysAsked = inOrder(z.object(daysFields))

/** One horse’s library; that of all horses goes out piece by piece beside the backups. */
export const libraryOfHorseRoutes: Route[] = [
  {
    method: 'get',
    path: '/horses/:id/library',
    beside: 'reading',
    summary: 'One horse with its owner, visits and patterns as a library, to be brought in elsewhere',
    answer: librarySchema,
    answers: { 404: 'No such horse' },
    query: {
      from: 'the first day of its visits, 2026-11-23; else from the first one',
      to: 'the last day; else up to the last one',
    },
    run: ({ practice, request, response }) => {
      const days = read(daysAsked, request.query)
      const horse = practice.horses.get(request.params['id'] as string)
      if (!horse) throw new NotFound('horse')
      response.attachment(`crescent-horse-${dayOn(new Date())}.json`).type('application/json')
      response.send(JSON.stringify(libraryOfHorse(practice, horse, days)))
    },
  },
]
