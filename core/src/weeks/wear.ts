import { addDays, daysBetween } from '../terms/days'
import type { Interval } from './intervals'
import { LEAST_WEEKS, rateOf, type Change, type Rate } from './rate'

/** Of the bar’s thickness so much must be left, as a share (no source; a farrier may set another). */
export const THROUGH_AT = 1 / 3

/** Intervals of its own a horse needs before those of others no longer count. */
export const OWN_ENOUGH = 3

/** Wear of one kind of shoe: plain, or hard-faced. */
export interface Wear {
  rate: Rate
  /** It rests on other horses of the same going as well. */
  pooled: boolean
}

/** What wears alike: hardened or not, of one metal. */
export type WearsAs = Pick<Interval, 'hardFaced' | 'material'>

/** How far off two readings of a thickness are together, one standard deviation, mm: a rule to 1/64 in, twice (from memory). */
const READ = 0.5

/** What shoes lost, each over the weeks it was worn; one that was lost says nothing. */
const changesOf = (intervals: readonly Interval[], { hardFaced, material }: WearsAs): Change[] =>
  intervals.flatMap((one) =>
    one.worn === undefined || one.lost || one.hardFaced !== hardFaced || one.material !== material
      ? []
      : [{ by: one.worn, weeks: one.weeks }],
  )

/** The rate of wear of a horse; with others of the same going until it has enough of its own. */
export function wearOf(own: readonly Interval[], others: readonly Interval[], as: WearsAs): Wear | undefined {
  const mine = changesOf(own, as)
  const pooled = mine.filter(({ weeks }) => weeks >= LEAST_WEEKS).length < OWN_ENOUGH
  const rate = rateOf(pooled ? [...mine, ...changesOf(others, as)] : mine, READ)
  // Iron does not grow: what is read so is the reading.
  return rate && { rate: { ...rate, perWeek: Math.max(0, rate.perWeek) }, pooled }
}

/** When a shoe will be through: its least place down to a share of the bar. */
export interface Through {
  date: string
  /** Weeks from when it was put on; none where the rate is nothing. */
  weeks: number
  /** 90 %: it may be through as early as, and last as long as; none where that is not known. */
  early?: string
  late?: string
}

/** Nobody looks further ahead, weeks. */
const FAR = 520

/**
 * @param thickness when it was put on, mm
 * @param from the day it was put on
 * @param bar thickness of the bar it was made from, of which a share must be left, mm
 */
export function throughOn(
  { rate }: Wear,
  thickness: number,
  from: string,
  bar: number = thickness,
): Through | undefined {
  const allowed = Math.max(0, thickness - bar * THROUGH_AT)
  const weeksAt = (perWeek: number) => (perWeek > allowed / FAR ? allowed / perWeek : undefined)
  const on = (weeks: number | undefined) =>
    weeks === undefined ? undefined : addDays(from, Math.floor(weeks * 7))
  const weeks = weeksAt(rate.perWeek)
  if (weeks === undefined) return undefined
  const early = rate.high === undefined ? undefined : on(weeksAt(rate.high))
  const late = rate.low === undefined ? undefined : on(weeksAt(rate.low))
  return {
    date: on(weeks)!,
    weeks,
    ...(early !== undefined && { early }),
    ...(late !== undefined && { late }),
  }
}

/**
 * Whether a shoe can be put on again: what is left lasts another cycle even where it wears as fast as it may.
 *
 * @returns nothing where it is not known
 */
export function canBeReset(
  { rate }: Wear,
  left: number,
  bar: number,
  cycleWeeks: number,
): boolean | undefined {
  const fast = rate.high ?? rate.perWeek
  return rate.count === 0 ? undefined : left - fast * cycleWeeks >= bar * THROUGH_AT
}

/** Weeks between two days. */
export const weeksBetween = (from: string, to: string): number => daysBetween(from, to) / 7
