import * as z from 'zod'
import {
  footRecordSchema,
  shoeingSchema,
  visitSchema,
  storedPatternSchema,
  visitPageSchema,
  visitShoeingsSchema,
} from '@crescent/core/records/index'
import { CHECKS } from '../checks'
import { gatesHold } from './gates'
import { nextVisit, visitPage } from './page'
import { refuseSecond } from './one-a-day'
import { saveSeveralFeet } from './several-feet'
import { saveShoeing } from './shoeing'
import { BadRequest } from '../../http/door'
import { withBody, type Route } from '../../http/route'
import { dayAsked, recordRoutes } from '../record-routes'

const shoeingAnswer = z.object({ pattern: storedPatternSchema, record: footRecordSchema })

export const visitRoutes: Route[] = [
  ...recordRoutes({
    path: 'visits',
    what: 'visit',
    schema: visitSchema,
    table: ({ visits }) => visits,
    check: CHECKS.visit,
    beside: (practice, visit) => {
      refuseSecond(practice, visit)
      return gatesHold(practice, visit)
    },
  }),
  {
    method: 'get',
    path: '/visits/:id/page',
    summary: 'A visit with its horse, feet as measured then and the time before, and the patterns',
    answer: visitPageSchema,
    answers: { 404: 'No such visit' },
    run: ({ practice, request }) => visitPage(practice, request.params['id'] as string),
  },
  {
    method: 'get',
    path: '/horses/:id/next-visit',
    summary: 'The visit of a horse that runs on a day, else the one that would begin, not stored: version 0',
    query: { date: 'the day, 2026-11-23' },
    answer: visitPageSchema,
    answers: { 404: 'No such horse' },
    run: ({ practice, request }) =>
      nextVisit(practice, request.params['id'] as string, dayAsked(request.query['date'])),
  },
  withBody({
    method: 'put',
    path: '/visits/:id/feet',
    summary: 'Store several feet with their patterns, and the visit where it is sent too: all or nothing',
    answer: z.object({ visit: visitSchema, feet: z.array(shoeingAnswer) }),
    body: visitShoeingsSchema,
    answers: {
      400: 'What does not fit, by path',
      404: 'The visit is neither sent nor stored',
      409: 'Changed elsewhere since it was read; `current` holds what is stored of `visit`, and of `feet` by foot',
    },
    run: ({ practice, request, body }) => saveSeveralFeet(practice, request.params['id'] as string, body),
  }),
  withBody({
    method: 'put',
    path: '/visits/:id/feet/:side',
    summary: 'Store a foot as measured together with the pattern made for it: both or neither',
    answer: shoeingAnswer,
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
