import { t90 } from '../foot/t-quantiles'
import { halved } from '../geometry/halved'

/** A rate with its spread, and what the next single one will likely be: 90 %, a prediction interval. */
export interface Rate {
  count: number
  /** The mean, in the unit of what was given for a week. */
  perWeek: number
  /** Unknown from a single one. */
  low?: number
  high?: number
}

/** What changed over some weeks, by a reading at either end. */
export interface Change {
  by: number
  weeks: number
}

/** Shorter than this is no cycle: what was read tells more of the reading than of the weeks. */
export const LEAST_WEEKS = 2

/** What readings are off is known beforehand, not found in a few of them: as if so many more had been read (from trials). */
const KNOWN = 3

/**
 * The rate of several changes; nothing without one. From one alone no spread is known. Each counts by how sure it is: one
 * horse or shoe differs from the next by a spread that is looked for in the rates themselves (Paule and Mandel, from
 * memory), and a reading is off by its error, which weighs the more the fewer weeks it is spread over.
 *
 * @param error of a change, both its readings together: one standard deviation, in its unit
 */
export function rateOf(changes: readonly Change[], error: number): Rate | undefined {
  const counted = changes.filter(({ weeks }) => weeks >= LEAST_WEEKS)
  const count = counted.length
  if (count === 0) return undefined
  const rates = counted.map(({ by, weeks }) => by / weeks)
  const reading = counted.map(({ weeks }) => (error / weeks) ** 2)
  const between = spreadBetween(rates, reading)
  const weights = reading.map((one) => 1 / Math.max(between + one, 1e-12))
  const all = sum(weights)
  const perWeek = meanBy(rates, weights)
  if (count === 1) return { count, perWeek }
  const weeks = meanBy(
    counted.map((one) => one.weeks),
    weights,
  )
  // As many as count: one that weighs nothing adds nothing to what is known of the spread.
  const as = Math.floor(all ** 2 / sum(weights.map((one) => one ** 2)) + 1e-9)
  const free = Math.max(1, as - 1)
  const one = between + (error / weeks) ** 2
  const found = between / Math.max(one, 1e-12)
  const times = Math.sqrt(found * t90(free) ** 2 + (1 - found) * t90(free + KNOWN) ** 2)
  const half = times * Math.sqrt(1 / all + one)
  return { count, perWeek, low: perWeek - half, high: perWeek + half }
}

/**
 * By how much rates differ beyond what their readings are off, as a variance: where they scatter no more than that it is
 * nothing.
 */
function spreadBetween(rates: readonly number[], reading: readonly number[]): number {
  /** Squares of what is off, in units of what is expected: as many as there are rates, less one, where it is right. */
  const scatter = (between: number): number => {
    const weights = reading.map((one) => 1 / Math.max(between + one, 1e-12))
    const mean = meanBy(rates, weights)
    return rates.reduce((all, rate, i) => all + weights[i]! * (rate - mean) ** 2, 0)
  }
  const free = rates.length - 1
  if (free === 0 || scatter(0) <= free) return 0
  const mean = sum(rates) / rates.length
  const most = rates.reduce((all, rate) => all + (rate - mean) ** 2, 0)
  return halved(0, most, (between) => scatter(between) > free)
}

const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0)

const meanBy = (values: readonly number[], weights: readonly number[]): number =>
  values.reduce((all, one, i) => all + one * weights[i]!, 0) / sum(weights)
