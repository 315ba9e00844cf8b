import * as z from 'zod'
import { DAY_RANGE, writeTold, type Told } from '@crescent/core'
import { courseKind } from '@crescent/core/courses'
import { read } from '../../http/door'
import { STYLE_QUERY, styleFields, styleOf } from '../drawn/asked'
import { writeCalendar } from '../../formats/calendar'
import type { Route } from '../../http/route'

/** Steps of courses are written however far ahead they lie. */
const LAST_DAY = DAY_RANGE[1]

/** The next visits, the steps of courses and calls that were promised, as calendars take them. */
export const calendarRoutes: Route[] = [
  {
    method: 'get',
    path: '/calendar.ics',
    beside: 'reading',
    query: STYLE_QUERY,
    summary:
      'When each horse is due, what courses ask for and calls that were promised, as an iCalendar file: to keep, or to read again and again as a feed',
    answer: { file: 'text/calendar' },
    run: ({ practice, request, response }) => {
      const style = styleOf(read(z.object(styleFields), request.query))
      const written = (sentence: Told) => writeTold(sentence, style)
      const days = practice.horses
        .allDue()
        .map(({ id, name, due, ownerName, place, cycleWeeks, updatedAt }) => ({
          id,
          date: due!,
          title: `${name} due`,
          place,
          notes: [ownerName, `every ${cycleWeeks} weeks`].filter(Boolean).join(', '),
          changed: new Date(updatedAt ?? 0),
        }))
      const steps = practice.courses
        .open(LAST_DAY)
        .map(({ id, date, horse, side, kind, who, label, text, place, changed }) => ({
          id,
          date,
          title: `${horse} ${side}: ${written(label)}`,
          place,
          notes: [`${courseKind(kind).label}, ${who}`, written(text)].filter(Boolean).join('. '),
          changed: new Date(changed),
        }))
      const calls = practice.calls
        .open(LAST_DAY)
        .map(({ id, date, horse, whom, phone, about, place, changed }) => ({
          ...{ id, date, place },
          title: `Call ${whom || 'about'} ${whom ? `about ${horse}` : horse}`,
          notes: [phone, about].filter(Boolean).join('. '),
          changed: new Date(changed),
        }))
      response
        .attachment('crescent.ics')
        .type('text/calendar; charset=utf-8')
        .send(writeCalendar('Crescent: next visits', [...days, ...steps, ...calls]))
    },
  },
]
