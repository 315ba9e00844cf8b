import { writeCalendar } from '../../formats/calendar'
import type { Route } from '../../http/route'

/** The next visits, as calendars take them. */
export const calendarRoutes: Route[] = [
  {
    method: 'get',
    path: '/calendar.ics',
    summary: 'When each horse is due, as an iCalendar file: to keep, or to read again and again as a feed',
    answer: { file: 'text/calendar' },
    run: ({ practice, response }) => {
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
      response
        .attachment('crescent.ics')
        .type('text/calendar; charset=utf-8')
        .send(writeCalendar('Crescent: next visits', days))
    },
  },
]
