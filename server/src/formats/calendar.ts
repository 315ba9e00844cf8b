import ical, { ICalEventTransparency } from 'ical-generator'

/** A whole day in a calendar. */
export interface CalendarDay {
  /** The same for the same entry, whenever it is written. */
  id: string
  /** 2026-11-29 */
  date: string
  title: string
  place?: string
  notes?: string
  /** When it was last changed; the file says so. */
  changed: Date
}

/** Midnight UTC: an all-day date written otherwise lands a day early west or east of here. */
function utcDay(date: string): Date {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number]
  return new Date(Date.UTC(year, month - 1, day))
}

/** Whole days as an iCalendar file (RFC 5545). */
export function writeCalendar(name: string, days: readonly CalendarDay[]): string {
  const calendar = ical({ name, prodId: { company: 'Crescent', product: 'Crescent', language: 'EN' } })
  for (const { id, date, title, place, notes, changed } of days)
    calendar.createEvent({
      id: `${id}@crescent`,
      start: utcDay(date),
      allDay: true,
      summary: title,
      stamp: changed,
      transparency: ICalEventTransparency.TRANSPARENT,
      ...(place && { location: place }),
      ...(notes && { description: notes }),
    })
  return calendar.toString()
}
