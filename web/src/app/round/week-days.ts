import { addDays, type RoundStop, type RoundWeek } from '@crescent/core'

/** The week with a horse put on another day, before the server has said so; as it was where the horse is not in it. */
export function withMoved(week: RoundWeek, horseId: string, date: string): RoundWeek {
  const all = [...week.overdue, ...week.days.flatMap(({ stops }) => stops)]
  const stop = all.find(({ horse }) => horse.id === horseId)
  if (!stop) return week
  const moved: RoundStop = { ...stop, horse: { ...stop.horse, due: date } }
  const without = (stops: readonly RoundStop[]) => stops.filter(({ horse }) => horse.id !== horseId)
  return {
    ...week,
    overdue: date < week.from ? [...without(week.overdue), moved] : without(week.overdue),
    days: week.days.map((day) => ({
      ...day,
      stops: day.date === date ? byPlace([...without(day.stops), moved]) : without(day.stops),
    })),
  }
}

/**
 * What is late on a day, and the days without it. A month begins before today: what was due since then is as late as
 * what was due before, and stands with it. Of days that are only turned past, nothing is late yet.
 */
export function overdueOn(week: RoundWeek, day: string) {
  const past = week.days.filter(({ date }) => date < day)
  const before = <T>(all: readonly T[], of: (one: T) => string | null) => all.filter((one) => of(one)! < day)
  return {
    overdue: {
      stops: before([...week.overdue, ...past.flatMap(({ stops }) => stops)], ({ horse }) => horse.due),
      late: before([...week.late, ...past.flatMap(({ steps }) => steps)], ({ date }) => date),
      calls: before([...week.lateCalls, ...past.flatMap(({ calls }) => calls)], ({ date }) => date),
    },
    days: week.days.map((one) => (one.date < day ? { ...one, stops: [], steps: [], calls: [] } : one)),
  }
}

/** Those that stand at one place come one after the other. */
const byPlace = (stops: RoundStop[]): RoundStop[] =>
  stops.sort((a, b) => a.horse.place.localeCompare(b.horse.place) || a.horse.name.localeCompare(b.horse.name))

/** Where a horse stands on the day of which it is. */
export interface DayLoad {
  /** Minutes of all that are known, and how many stops are not. */
  minutes: number
  unknown: number
}

/** How long the stops of a day take, by what was logged. */
export function loadOf(stops: readonly RoundStop[]): DayLoad {
  return {
    minutes: stops.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0),
    unknown: stops.filter(({ minutes }) => minutes === null).length,
  }
}

/** The load in a farrier's words: `3 h 20 min, 2 not known`. */
export function loadWords(stops: readonly RoundStop[]): string {
  if (stops.length === 0) return ''
  const { minutes, unknown } = loadOf(stops)
  const hours = Math.floor(minutes / 60)
  const rest = Math.round(minutes % 60)
  const known = [hours > 0 ? `${hours} h` : '', rest > 0 || hours === 0 ? `${rest} min` : '']
    .filter(Boolean)
    .join(' ')
  if (unknown === stops.length) return 'time not known'
  return unknown > 0 ? `${known} and ${unknown} not known` : known
}

/** The first day of the calendar week a day lies in: Monday. */
export function mondayOf(day: string): string {
  const weekday = new Date(`${day}T00:00:00Z`).getUTCDay()
  return addDays(day, -((weekday + 6) % 7))
}
