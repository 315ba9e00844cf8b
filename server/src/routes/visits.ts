import type { VisitPage } from '@crescent/core'
import { footRecordSchema, visitSchema } from '@crescent/core/records/index'
import { NotFound } from '../http/door'
import type { Route } from '../http/route'
import { recordRoutes } from './records'

export const visitRoutes: Route[] = [
  ...recordRoutes('visits', 'visit', visitSchema, (practice) => practice.visits),
  {
    method: 'get',
    path: '/visits/:id/page',
    summary: 'A visit with its horse, feet as measured then and the time before, and the patterns',
    answers: { 404: 'No such visit' },
    run: ({ practice, request }): VisitPage => {
      const visit = practice.visits.get(request.params['id'] as string)
      if (!visit) throw new NotFound('visit')
      const horse = practice.horses.get(visit.horseId)!
      const before = practice.visits.before(visit)
      return {
        visit,
        horse,
        owner: horse.ownerId ? (practice.owners.get(horse.ownerId) ?? null) : null,
        footRecords: practice.footRecords.ofVisit(visit.id),
        look: practice.looks.ofVisit(visit.id) ?? null,
        lookBefore: practice.looks.before(visit) ?? null,
        lastVisit: practice.visits.lastBefore(visit),
        previous: before ? { visit: before, footRecords: practice.footRecords.ofVisit(before.id) } : null,
        patterns: practice.patterns.ofHorse(horse.id),
        workshop: practice.workshop.current(),
      }
    },
  },
  ...recordRoutes('foot-records', 'foot record', footRecordSchema, (practice) => practice.footRecords),
]
