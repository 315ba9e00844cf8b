import * as z from 'zod'
import { writeTold, type Told } from '@crescent/core'
import { courseKind } from '@crescent/core/courses'
import { read } from '../../http/door'
import { daysFields, inOrder } from '../days-asked'
import { STYLE_QUERY, styleFields, styleOf } from '../drawn/asked'
import { writeCalendar } from '../../formats/calendar'
import type { Route } from '../../http/route'

/** Asked for no dates it is everything that is open, however far ahead it lies. */
const daysAsked = inOrder(z.object({ ...daysFields, ...styleFields }))

/** The next visits, the steps of courses and calls that were promised, as calendars take them. */
export const calendarRoutes: Route[] = [
  {
    method: 'get',
    path: '/calendar.ics',
    beside: 'reading',
    query: {
      from: 'the first day, 2026-11-23; else all that is open',
      to: 'the last day; else however far ahead',
      ...STYLE_QUERY,
    },
    summary:
      'When each horse is due, what courses ask for and calls that were promised, as an iCalendar file: to keep, or to read again and again as a feed',
    answer: { file: 'text/calendar' },
    run: ({ practice, request, response }) => {
      const { from, to, ...asked } = read(daysAsked, request.query)
      const style = styleOf(asked)
      const within = ({ date }: { date: string }) => from <= date && date <= to
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
        .open(to)
        .map(({ id, date, horse, side, kind, who, label, text, place, changed }) => ({
          id,
          date,
          title: `${horse} ${side}: ${written(label)}`,
          place,
          notes: [`${courseKind(kind).label}, ${who}`, written(text)].filter(Boolean).join('. '),
          changed: new Date(changed),
        }))
      const calls = practice.calls
        .open(to)
        .map(({ id, date, horse, whom, phone, about, place, changed }) => ({
          ...{ id, date, place },
          title: `Call ${whom || 'about'} ${whom ? `about ${horse}` : horse}`,
          notes: [phone, about].filter(Boolean).join('. '),
          changed: new Date(changed),
        }))
      response
        .attachment('crescent.ics')
        .type('text/calendar; charset=utf-8')
        .send(writeCalendar('Crescent: next visits', [...days, ...steps, ...calls].filter(within)))
    },
  },
]
