/** Days outside these are slips of the hand: a year with five digits, a birthday. */
export const DAY_RANGE = ['1990-01-01', '2099-12-31'] as const

/** A day so many days later, both written 2026-11-29: calendar days, whatever the clocks do. */
export function addDays(day: string, days: number): string {
  const at = new Date(`${day}T00:00:00Z`)
  at.setUTCDate(at.getUTCDate() + days)
  return at.toISOString().slice(0, 10)
}

/** Calendar days from one day to another; minus where it lies before. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000)

/** Years in which a horse may have been foaled. */
export const BORN_RANGE = [1980, 2099] as const

/** How old a horse is on a day, in years: all of a year turn together, as breeders count. */
export const ageOn = (born: number, day: string): number => Number(day.slice(0, 4)) - born

/** A rate is told over so many weeks: what one week brings is finer than any rule. */
export const TOLD_OVER = 4
