import { length, told, type Told } from '../notices/told'
import { addDays, TOLD_OVER } from '../terms/days'

/** The breakover may move ahead of where its school has it by so much: 1/4 in (common practice, no source). */
export const ALLOWED_DRIFT = 6.35

/** Something that ends a cycle. */
export interface CycleLimit {
  key: 'drift' | 'wear' | 'course' | 'own'
  /** Weeks from the visit the shoe was put on at. */
  weeks: number
  reason: Told
}

/** When the horse should be seen again, and why then. */
export interface ProposedCycle {
  weeks: number
  date: string
  /** What sets it. */
  limit: CycleLimit['key']
  reason: Told
  /** All that was weighed, the soonest first. */
  limits: CycleLimit[]
}

/** No cycle is shorter or longer, weeks; what a course asks for comes on its day. */
const WEEKS = [1, 16] as const

/** What is known of a foot or a horse that may end its cycle; what is not known is left out. */
export interface CycleAsked {
  /** The day of the visit it runs from. */
  from: string
  /** The farrier’s own limit, weeks. */
  own: number
  /** Forward a week, mm, and how far ahead of its school the shoe broke over when it was put on. */
  drift?: { perWeek: number; aheadAtStart: number }
  /** Weeks until the shoe is through. */
  wear?: { weeks: number }
  /** The next step of a course that a farrier does. */
  course?: { label: Told; weeks: number }
}

/** The cycle that is proposed: the first of all that ends it, in whole days, with its reason. */
export function proposedCycle({ from, own, drift, wear, course }: CycleAsked): ProposedCycle {
  const all: CycleLimit[] = [
    { key: 'own' as const, weeks: own, reason: `The cycle set for this horse: ${own} weeks.` },
    ...(drift && drift.perWeek > 0
      ? [
          {
            key: 'drift' as const,
            weeks: Math.max(0, ALLOWED_DRIFT - drift.aheadAtStart) / drift.perWeek,
            reason: told`Growth carries the breakover ${length(drift.perWeek * TOLD_OVER, 'fine')} forward over four weeks; ${length(ALLOWED_DRIFT)} past its place is the most.`,
          },
        ]
      : []),
    ...(wear
      ? [{ key: 'wear' as const, weeks: wear.weeks, reason: 'The shoe is worn through by then.' }]
      : []),
    ...(course
      ? [
          {
            key: 'course' as const,
            weeks: course.weeks,
            reason: told`The course asks for it: ${course.label}.`,
          },
        ]
      : []),
  ]
  const limits = all.sort((a, b) => a.weeks - b.weeks)
  const first = limits[0]!
  const least = first.key === 'course' ? 0 : WEEKS[0]
  const weeks = Math.min(WEEKS[1], Math.max(least, first.weeks))
  return {
    weeks,
    // A day is whole; a share of it that is lost in counting weeks is not.
    date: addDays(from, Math.floor(weeks * 7 + 1e-9)),
    limit: first.key,
    reason: first.reason,
    limits,
  }
}
