import { t90 } from './t-quantiles'

/** A figure as it was measured on a day. */
export interface Measured {
  /** `2026-11-23`. */
  date: string
  value: number
}

/** A straight line through figures over time, with how sure it is. */
export interface Trend {
  /** Figures it rests on. */
  count: number
  /** Change per week. */
  perWeek: number
  /** Half the width of the 90 % interval of the change per week. */
  perWeekSpread: number
  /** Scatter of the figures about the line: standard deviation. */
  scatter: number
  /** What the figure will likely be on a day: middle and 90 % interval of one new measurement. */
  at: (date: string) => { value: number; low: number; high: number }
}

const DAY = 86_400_000
const days = (date: string): number => Date.parse(`${date}T00:00:00Z`) / DAY

/**
 * Least-squares line through what was measured. Needs three figures on at least two days: two say nothing about
 * their own spread.
 *
 * @returns undefined where there is too little to go by
 */
export function trend(measured: readonly Measured[]): Trend | undefined {
  const count = measured.length
  const xs = measured.map(({ date }) => days(date))
  const meanX = xs.reduce((a, b) => a + b, 0) / count
  const spread = xs.reduce((sum, x) => sum + (x - meanX) ** 2, 0)
  if (count < 3 || spread === 0) return undefined
  const meanY = measured.reduce((sum, { value }) => sum + value, 0) / count
  const slope = measured.reduce((sum, { value }, i) => sum + (xs[i]! - meanX) * (value - meanY), 0) / spread
  const valueAt = (x: number) => meanY + slope * (x - meanX)
  const residue = measured.reduce((sum, { value }, i) => sum + (value - valueAt(xs[i]!)) ** 2, 0)
  const scatter = Math.sqrt(residue / (count - 2))
  const t = t90(count - 2)
  return {
    count,
    perWeek: slope * 7,
    perWeekSpread: ((t * scatter) / Math.sqrt(spread)) * 7,
    scatter,
    at(date) {
      const x = days(date)
      const value = valueAt(x)
      const half = t * scatter * Math.sqrt(1 + 1 / count + (x - meanX) ** 2 / spread)
      return { value, low: value - half, high: value + half }
    },
  }
}
