import { figureAlong } from '../geometry/figure-along'
import { ProblemError } from '../notices/problem'
import { planShoe } from '../plan/plan'
import type { OldShoe } from '../records/look'
import type { Pattern } from '../records/practice'

/** How thick a shoe is at the places at which an old one is read, mm. */
export interface Thickness {
  toe: number
  quarters: number
  heels: number
}

/** A quarter lies so far along its branch. */
const QUARTER = 0.6
/** The heel is read just ahead of its end. */
const HEEL = 0.95

/**
 * How thick the shoe of a pattern was when it was new: its bar, with what was drawn thin or upset. Of a shoe that can no
 * longer be planned only the bar is known.
 */
export function newThickness({
  foot,
  shoe,
  workshop,
}: Pick<Pattern, 'foot' | 'shoe' | 'workshop'>): Thickness {
  const bar = shoe.section.thickness
  if ((shoe.modifications ?? []).length === 0) return { toe: bar, quarters: bar, heels: bar }
  try {
    const { s, thickness } = planShoe(foot, shoe, workshop).profile
    const [first, last] = [s[0]!, s[s.length - 1]!]
    const at = (share: number) =>
      Math.min(figureAlong(s, thickness, first * share), figureAlong(s, thickness, last * share))
    return { toe: at(0), quarters: at(QUARTER), heels: at(HEEL) }
  } catch (error) {
    if (error instanceof ProblemError) return { toe: bar, quarters: bar, heels: bar }
    throw error
  }
}

/** What was read of an old shoe, place by place; the thinner of two heels. */
export function readThickness({
  leftToe,
  leftQuarters,
  leftOuterHeel,
  leftInnerHeel,
}: OldShoe): Partial<Thickness> {
  const heels = [leftOuterHeel, leftInnerHeel].filter((one) => one !== undefined)
  return {
    ...(leftToe !== undefined && { toe: leftToe }),
    ...(leftQuarters !== undefined && { quarters: leftQuarters }),
    ...(heels.length > 0 && { heels: Math.min(...heels) }),
  }
}

const PLACES = ['toe', 'quarters', 'heels'] as const

/** The thinnest of places that are known, mm. */
export function thinnest(known: Partial<Thickness>): number | undefined {
  const all = PLACES.flatMap((place) => known[place] ?? [])
  return all.length > 0 ? Math.min(...all) : undefined
}

/** What was lost at the place that lost most, of those that are known before and after, mm. */
export function mostLost(before: Partial<Thickness>, after: Partial<Thickness>): number | undefined {
  const lost = PLACES.flatMap((place) => {
    const [was, is] = [before[place], after[place]]
    return was === undefined || is === undefined ? [] : [was - is]
  })
  return lost.length > 0 ? Math.max(...lost) : undefined
}
