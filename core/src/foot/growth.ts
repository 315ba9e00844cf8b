import { trend, type Measured, type Trend } from './trend'

/** One cycle between two visits: the toe as it was left, and as it was found before the next trim. */
export interface Cycle {
  from: string
  to: string
  /** Toe length after the trim at the first visit, mm. */
  left: number
  /** Toe length before the trim at the second, mm. */
  found: number
}

/** How fast the wall grows, with its spread over the cycles. */
export interface Growth {
  cycles: number
  /** mm a week. */
  perWeek: number
  /** Standard deviation over the cycles, mm a week; unknown from a single cycle. */
  spread?: number
}

const WEEK = 7 * 86_400_000

/** Growth of the wall from cycles whose both ends were measured; undefined without one. */
export function wallGrowth(cycles: readonly Cycle[]): Growth | undefined {
  const rates = cycles.flatMap(({ from, to, left, found }) => {
    const weeks = (Date.parse(to) - Date.parse(from)) / WEEK
    return weeks > 0 ? [(found - left) / weeks] : []
  })
  if (rates.length === 0) return undefined
  const perWeek = rates.reduce((a, b) => a + b, 0) / rates.length
  if (rates.length === 1) return { cycles: 1, perWeek }
  const variance = rates.reduce((sum, rate) => sum + (rate - perWeek) ** 2, 0) / (rates.length - 1)
  return { cycles: rates.length, perWeek, spread: Math.sqrt(variance) }
}

/** Figures whose change over time is of use for a shoe made ahead. */
export const FOLLOWED = ['width', 'length', 'heelWidth', 'toeAngle', 'heelAngle', 'proportion'] as const
export type Followed = (typeof FOLLOWED)[number]

/** A figure of one foot over its visits, with its trend. */
export interface Series {
  followed: Followed
  measured: Measured[]
  trend?: Trend
}

/** A foot with every figure, as it was on a day. */
export interface DatedFoot {
  date: string
  foot: {
    width: number
    length: number
    heelWidth: number
    toeAngle: number
    heelAngle: number
    widestFromToe: number
  }
  /** Figures that stand at a default: they are no measurements. */
  assumed: readonly string[]
}

/** Every followed figure over time. A figure that was not measured is left out, not drawn at its default. */
export function seriesOf(feet: readonly DatedFoot[]): Series[] {
  const sorted = [...feet].sort((a, b) => a.date.localeCompare(b.date))
  return FOLLOWED.map((followed) => {
    const needs = followed === 'proportion' ? 'widestFromToe' : followed
    const measured = sorted
      .filter(({ assumed }) => !assumed.includes(needs))
      .map(({ date, foot }) => ({
        date,
        value: followed === 'proportion' ? proportion(foot) : foot[followed],
      }))
    const line = trend(measured)
    return { followed, measured, ...(line && { trend: line }) }
  })
}

/** Percent of the bearing that lies ahead of the widest part, on the bare foot. */
const proportion = ({ length, widestFromToe }: DatedFoot['foot']): number => (100 * widestFromToe) / length
