import {
  addDays,
  commonName,
  currentPatterns,
  type HorseSummary,
  type RoundStop,
  type RoundWeek,
} from '@crescent/core'
import type { Practice } from '../../practice'

/** Horses, steps and calls of the days from one on: who is due when, how long it takes, what it needs from the van. */
export function weekOf(practice: Practice, from: string, count: number): RoundWeek {
  const last = addDays(from, count - 1)
  const due = practice.horses.dueUntil(last)
  const stop = stopsOf(practice)
  const steps = practice.courses.open(last)
  const calls = practice.calls.open(last)
  const on = (date: string) => ({
    date,
    stops: byPlace(due.filter((horse) => horse.due === date).map(stop)),
    steps: steps.filter((step) => step.date === date),
    calls: calls.filter((call) => call.date === date),
  })
  return {
    from,
    days: Array.from({ length: count }, (_, i) => on(addDays(from, i))),
    overdue: due.filter((horse) => horse.due! < from).map(stop),
    late: steps.filter((step) => step.date < from),
    lateCalls: calls.filter((call) => call.date < from),
  }
}

/** Those that stand at one place come one after the other. */
const byPlace = (stops: RoundStop[]): RoundStop[] =>
  stops.sort((a, b) => a.horse.place.localeCompare(b.horse.place) || a.horse.name.localeCompare(b.horse.name))

/** Tells of each horse what its visit takes. */
function stopsOf(practice: Practice): (horse: HorseSummary) => RoundStop {
  return (horse) => {
    const worn = Object.values(
      currentPatterns(practice.patterns.ofHorse(horse.id), practice.visits.ofHorse(horse.id)),
    )
    const bars = new Map<string, RoundStop['bars'][number]>()
    const sizes = new Map<string, RoundStop['sizes'][number]>()
    for (const { shoe, result } of worn) {
      if (shoe.stock) {
        const { label } = shoe.stock.facts
        sizes.set(label, { label, count: (sizes.get(label)?.count ?? 0) + 1 })
        continue
      }
      const key = JSON.stringify(shoe.section)
      const known = bars.get(key) ?? {
        ...{ section: shoe.section, name: commonName(shoe.section) ?? null },
        ...{ count: 0, total: 0 },
      }
      bars.set(key, { ...known, count: known.count + 1, total: known.total + result.cutLength })
    }
    return {
      horse,
      minutes: practice.tries.minutesOf(horse.id),
      bars: [...bars.values()],
      sizes: [...sizes.values()],
    }
  }
}
