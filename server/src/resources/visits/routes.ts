import * as z from 'zod'
import {
  footRecordSchema,
  shoeingSchema,
  visitSchema,
  storedPatternSchema,
  visitPageSchema,
} from '@crescent/core/records/index'
import { CHECKS } from '../checks'
import { gatesHold } from './gates'
import { visitPage } from './page'
import { saveShoeing } from './shoeing'
import { BadRequest } from '../../http/door'
import { withBody, type Route } from '../../http/route'
import { recordRoutes } from '../record-routes'

export const visitRoutes: Route[] = [
  ...recordRoutes({
    path: 'visits',
    what: 'visit',
    schema: visitSchema,
    table: ({ visits }) => visits,
    check: CHECKS.visit,
    beside: gatesHold,
  }),
  {
    method: 'get',
    path: '/visits/:id/page',
    summary: 'A visit with its horse, feet as measured then and the time before, and the patterns',
    answer: visitPageSchema,
    answers: { 404: 'No such visit' },
    run: ({ practice, request }) => visitPage(practice, request.params['id'] as string),
  },
  withBody({
    method: 'put',
    path: '/visits/:id/feet/:side',
    summary: 'Store a foot as measured together with the pattern made for it: both or neither',
    answer: z.object({ pattern: storedPatternSchema, record: footRecordSchema }),
    body: shoeingSchema,
    answers: {
      400: 'What does not fit, by path',
      409: 'Changed elsewhere since it was read; `current` holds what is stored of `pattern` and `record`',
    },
    run: ({ practice, request, body: sent }) => {
      const { id, side } = request.params
      const strays = [
        { path: 'record.visitId', is: sent.record.visitId, wanted: id },
        { path: 'record.side', is: sent.record.side, wanted: side },
        { path: 'pattern.side', is: sent.pattern.side, wanted: side },
        { path: 'record.patternId', is: sent.record.patternId, wanted: sent.pattern.id },
      ].filter(({ is, wanted }) => is !== wanted)
      if (strays.length > 0)
        throw new BadRequest(
          strays.map(({ path, wanted }) => ({ path, message: `It must be ${String(wanted)} here` })),
        )
      return practice.db.transaction(() => saveShoeing(practice, sent)).immediate()
    },
  }),
  ...recordRoutes({
    path: 'foot-records',
    what: 'foot record',
    schema: footRecordSchema,
    table: ({ footRecords }) => footRecords,
    check: CHECKS.footRecord,
  }),
]
