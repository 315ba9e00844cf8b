import { checkWorkshop, ProblemError, resolveWorkshop } from '@crescent/core'
import { workshopRecordSchema } from '@crescent/core/records/index'
import { read } from '../http/door'
import type { Route } from '../http/route'

export const workshopRoutes: Route[] = [
  {
    method: 'get',
    path: '/workshop',
    summary: "The workshop's own figures",
    run: ({ practice }) => practice.workshop.current(),
  },
  {
    method: 'put',
    path: '/workshop',
    summary: "Store the workshop's own figures",
    body: workshopRecordSchema,
    answers: { 400: 'Figures that no workshop has', 409: 'Changed elsewhere since it was read' },
    run: ({ practice, request }) => {
      const record = read(workshopRecordSchema, request.body)
      const problems = checkWorkshop(resolveWorkshop(record.figures))
      if (problems.length > 0) throw new ProblemError(problems)
      const id = practice.workshop.current().id
      return practice.db.transaction(() => practice.workshop.put({ ...record, id })).immediate()
    },
  },
]
