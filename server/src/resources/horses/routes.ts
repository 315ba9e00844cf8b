import * as z from 'zod'
import type { HorsePage } from '@crescent/core'
import { horseSchema, horsePageSchema, horseSummarySchema } from '@crescent/core/records/index'
import { NotFound } from '../../http/door'
import type { Route } from '../../http/route'
import { LIST_QUERY, listQuery, recordRoutes } from '../record-routes'

export const horseRoutes: Route[] = [
  {
    method: 'get',
    path: '/horses',
    summary: 'Horses by name, with owner, last visit and the day they are due',
    answer: z.array(horseSummarySchema),
    query: LIST_QUERY,
    run: ({ practice, request }) => {
      const { search, archived, limit } = listQuery(request.query)
      return practice.horses.search(search, archived, limit)
    },
  },
  ...recordRoutes({ path: 'horses', what: 'horse', schema: horseSchema, table: ({ horses }) => horses }),
  {
    method: 'get',
    path: '/horses/:id/page',
    summary: 'A horse with its owner, visits, feet as measured and pattern library',
    answer: horsePageSchema,
    answers: { 404: 'No such horse' },
    run: ({ practice, request }): HorsePage => {
      const horse = practice.horses.get(request.params['id'] as string)
      if (!horse) throw new NotFound('horse')
      return {
        horse,
        owner: horse.ownerId ? (practice.owners.get(horse.ownerId) ?? null) : null,
        visits: practice.visits.ofHorse(horse.id),
        footRecords: practice.footRecords.ofHorse(horse.id),
        looks: practice.looks.ofHorse(horse.id),
        patterns: practice.patterns.ofHorse(horse.id),
      }
    },
  },
]
