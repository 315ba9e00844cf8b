import { SIDES, type Side } from './sides'

/** What is done to a foot at a visit: shod anew, the same shoe put back, or trimmed and left bare. In the order it is told. */
export const FOOT_WORKS = ['shod', 'reset', 'bare'] as const
export type FootWork = (typeof FOOT_WORKS)[number]

/** What was done to the feet in a few words: `LF RF shod, LH RH bare`. */
export const workWords = (done: Partial<Record<Side, FootWork>>): string =>
  FOOT_WORKS.flatMap((work) => {
    const sides = SIDES.filter((side) => done[side] === work)
    return sides.length > 0 ? [`${sides.join(' ')} ${work}`] : []
  }).join(', ')
