import type { SizeStock } from '../records/shoe'
import { MOULDED_LIFE } from '../terms/moulded'

type Fitted = NonNullable<SizeStock['fitted']>

/** How long a moulded shoe is worn, and how long it may be yet, days. */
export interface Worn {
  days: number
  resets: number
  /** Minus: it is past its life. */
  left: number
}

const DAY = 86_400_000

/**
 * How much of its life a moulded shoe has behind it on a day.
 *
 * @param day `2026-11-28`
 */
export function wornSince({ since, resets }: Fitted, day: string): Worn {
  const days = Math.max(0, Math.round((Date.parse(day) - Date.parse(since)) / DAY))
  return { days, resets, left: MOULDED_LIFE - days }
}

/**
 * The same shoe put on again.
 *
 * @param before as it was when it was last put on; the day it was then, where nobody wrote down when it was new
 */
export const resetOf = (before: Fitted | undefined, lastDay: string): Fitted =>
  before ? { since: before.since, resets: before.resets + 1 } : { since: lastDay, resets: 1 }
