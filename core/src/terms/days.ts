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
