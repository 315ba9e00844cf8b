import type { Vec } from '@crescent/core'
import { lengthAlong, nearestAlong, type PhotoTrace } from '@crescent/core/photographs'

type Edge = Pick<PhotoTrace, 'outline' | 'doubtful'>

/** A tap this near to a line is meant for it, mm. */
const REACH = 14
/** A line ends so near to where it is asked about that it is all of it, mm. */
const WHOLE = 2
/** A hand that draws the line settles a stretch that ends so near, mm. */
const SETTLES = 5

/** Whether a place, mm in the plane of the thing, lies beside a stretch of the edge that is doubtful. */
export function isDoubtfulAt({ outline, doubtful }: Edge, place: Vec): boolean {
  const { station, off } = nearestAlong(outline, place)
  return off < REACH && doubtful.some(([from, to]) => station >= from && station <= to)
}

/**
 * Whether all of the edge is doubtful that anybody asks about.
 *
 * @param heel of a foot, where its wall ends: behind it nothing is asked
 */
export function isSureOfNone({ outline, doubtful }: Edge, heel: Vec | undefined): boolean {
  const [first] = doubtful
  if (!first || doubtful.length > 1) return false
  const whole = heel ? nearestAlong(outline, heel).station : lengthAlong(outline)
  return first[0] === 0 && first[1] >= whole - WHOLE
}

/** The stretches that are left to look at once a hand drew the line at a station, mm. */
export const withoutDoubtAt = (doubtful: Edge['doubtful'], station: number): Edge['doubtful'] =>
  doubtful.filter(([from, to]) => station < from - SETTLES || station > to + SETTLES)
