import { t90 } from '../foot/t-quantiles'

/** A rate with its spread, and what the next single one will likely be: 90 %, a prediction interval. */
export interface Rate {
  count: number
  /** The mean, in the unit of what was given for a week. */
  perWeek: number
  /** Unknown from a single one. */
  low?: number
  high?: number
}

/** The rate of several weeks' figures; nothing without one. From one alone no spread is known. */
export function rateOf(rates: readonly number[]): Rate | undefined {
  const count = rates.length
  if (count === 0) return undefined
  const perWeek = rates.reduce((a, b) => a + b, 0) / count
  if (count === 1) return { count, perWeek }
  const variance = rates.reduce((sum, rate) => sum + (rate - perWeek) ** 2, 0) / (count - 1)
  const half = t90(count - 1) * Math.sqrt(variance * (1 + 1 / count))
  return { count, perWeek, low: perWeek - half, high: perWeek + half }
}
