import { differenceInCalendarDays, formatISO, parseISO } from 'date-fns'

/** The calendar day here and now, `2026-11-23`. */
export const today = (): string => formatISO(new Date(), { representation: 'date' })

const WEEKDAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short' })
const MONTH = new Intl.DateTimeFormat('en-US', { month: 'short' })

/** `Mon 23 Nov 2026`. */
export const longDay = (day: string): string => `${WEEKDAY.format(parseISO(day))} ${shortDay(day)}`

/** `23 Nov 2026`. */
export function shortDay(day: string): string {
  const date = parseISO(day)
  return `${date.getDate()} ${MONTH.format(date)} ${date.getFullYear()}`
}

/** How far a day lies from another, in a farrier's words: `3 days overdue`, `due today`, `due in 5 days`. */
export function dueText(due: string | null, day: string): string {
  if (due === null) return 'never shod here'
  const days = differenceInCalendarDays(parseISO(due), parseISO(day))
  const count = Math.abs(days) === 1 ? '1 day' : `${Math.abs(days)} days`
  if (days === 0) return 'due today'
  return days < 0 ? `${count} overdue` : `due in ${count}`
}
