import { differenceInCalendarDays, format, parseISO } from 'date-fns'

/** The calendar day here and now, `2026-11-23`. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd')

/** `Mon 23 Nov 2026`. */
export const longDay = (day: string): string => format(parseISO(day), 'EEE d MMM yyyy')

/** `23 Nov 2026`. */
export const shortDay = (day: string): string => format(parseISO(day), 'd MMM yyyy')

/** How far a day lies from another, in a farrier's words: `3 days overdue`, `due today`, `due in 5 days`. */
export function dueText(due: string | null, day: string): string {
  if (due === null) return 'never shod here'
  const days = differenceInCalendarDays(parseISO(due), parseISO(day))
  const count = Math.abs(days) === 1 ? '1 day' : `${Math.abs(days)} days`
  if (days === 0) return 'due today'
  return days < 0 ? `${count} overdue` : `due in ${count}`
}
