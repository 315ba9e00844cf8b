import type { HorseSummary, Round, RoundCall, RoundStep } from '@crescent/core'

/** What is due at one place within the week. */
export interface PlaceDue {
  /** Empty where it was never said. */
  place: string
  horses: HorseSummary[]
  steps: RoundStep[]
  calls: RoundCall[]
  /** The earliest day that something there is due. */
  first: string
}

/** What is due, place by place: where it presses most comes first, what belongs to no place last. */
export function duePlaces({ overdue, due, steps, calls }: Round): PlaceDue[] {
  const places = new Map<string, PlaceDue>()
  const at = (place: string, day: string): PlaceDue => {
    const there = places.get(place) ?? { place, horses: [], steps: [], calls: [], first: day }
    if (day < there.first) there.first = day
    places.set(place, there)
    return there
  }
  for (const horse of [...overdue, ...due]) at(horse.place.trim(), horse.due!).horses.push(horse)
  for (const step of steps) at(step.place.trim(), step.date).steps.push(step)
  for (const call of calls) at(call.place.trim(), call.date).calls.push(call)
  return [...places.values()].sort(
    (a, b) =>
      Number(a.place === '') - Number(b.place === '') ||
      (a.first < b.first ? -1 : a.first > b.first ? 1 : a.place.localeCompare(b.place)),
  )
}
