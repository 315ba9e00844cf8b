import { workshopRecordSchema } from '@crescent/core/records/index'
import { CHECKS } from '../checks'
import { withBody, type Route } from '../../http/route'
import { refuse } from '../record-routes'

export const workshopRoutes: Route[] = [
  {
    method: 'get',
    path: '/workshop',
    summary: "The workshop's own figures",
    answer: workshopRecordSchema,
    run: ({ practice }) => practice.workshop.current(),
  },
  withBody({
    method: 'put',
    path: '/workshop',
    summary: "Store the workshop's own figures",
    answer: workshopRecordSchema,
    body: workshopRecordSchema,
    answers: { 400: 'Figures that no workshop has', 409: 'Changed elsewhere since it was read' },
    run: ({ practice, body: record }) => {
      refuse(CHECKS.workshop(record))
      const id = practice.workshop.current().id
      return practice.db.transaction(() => practice.workshop.put({ ...record, id })).immediate()
    },
  }),
]
