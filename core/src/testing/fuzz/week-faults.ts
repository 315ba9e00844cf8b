import fc from 'fast-check'
import { rateOf, type Change } from '../../weeks/rate'

/** A shoe or a hoof over some visits, each read with an error, and a visit some days later. */
export interface AnyWeeks {
  perWeek: number
  error: number
  visits: { weeks: number; off: number }[]
  days: number
  off: number
}

const off = fc.double({ min: -2, max: 2, noNaN: true })

export const anyWeeks: fc.Arbitrary<AnyWeeks> = fc.record({
  perWeek: fc.double({ min: 0.05, max: 3, noNaN: true }),
  error: fc.double({ min: 0.1, max: 0.6, noNaN: true }),
  visits: fc.array(fc.record({ weeks: fc.double({ min: 3, max: 10, noNaN: true }), off }), {
    minLength: 1,
    maxLength: 6,
  }),
  days: fc.integer({ min: 1, max: 13 }),
  off,
})

/** Errors of its reading, spread over the shortest of the cycles, by which a mean may lie off. */
const MOST_OFF = 2

/** What a visit a few days later, or readings that agree, make of a rate. */
export function weekFaults({ perWeek, error, visits, days, off: last }: AnyWeeks): string[] {
  const changes = visits.map(({ weeks, off: by }): Change => ({ by: perWeek * weeks + by * error, weeks }))
  const plain = rateOf(changes, error)!
  const later = rateOf([...changes, { by: (perWeek * days) / 7 + last * error, weeks: days / 7 }], error)!
  const faults: string[] = []
  if (JSON.stringify(later) !== JSON.stringify(plain)) faults.push('a visit days later changes the rate')
  const shortest = Math.min(...visits.map(({ weeks }) => weeks))
  if (Math.abs(plain.perWeek - perWeek) > (MOST_OFF * error) / shortest + 1e-9)
    faults.push('a rate is off by more than its readings')
  if (plain.count > 1 && plain.high! - plain.low! < error / Math.max(...visits.map(({ weeks }) => weeks)))
    faults.push('a rate is surer than its readings')
  return faults
}
