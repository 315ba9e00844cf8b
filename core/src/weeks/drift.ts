import { radians } from '../units/angle'
import type { Interval } from './intervals'
import { rateOf, type Rate } from './rate'

/** How far off two readings of a toe's length are together, one standard deviation, mm: a rule to 1/32 in, twice (from memory). */
const READ = 1

/** How fast the toe grows down the wall, mm a week, from cycles whose both ends were measured. */
export const growthOf = (intervals: readonly Interval[]): Rate | undefined =>
  rateOf(
    intervals.flatMap(({ toeLeft, toeFound, weeks }) =>
      toeLeft === undefined || toeFound === undefined ? [] : [{ by: toeFound - toeLeft, weeks }],
    ),
    READ,
  )

/**
 * How far a week carries the breakover of a nailed shoe forward: the wall grows along its slope and takes the shoe with it.
 *
 * @param toeAngle degrees
 */
export function driftOf({ count, perWeek, low, high }: Rate, toeAngle: number): Rate {
  const forward = Math.cos(radians(toeAngle))
  return {
    count,
    perWeek: perWeek * forward,
    ...(low !== undefined && { low: low * forward }),
    ...(high !== undefined && { high: high * forward }),
  }
}
