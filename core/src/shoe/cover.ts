import type { FootOutline } from '../foot/outline'
import { nearestStation, placeAt, rightOf, trackLength, type Track } from '../geometry/track'

/** How far the shoe's outer rim stands outside the wall beside a place of the foot, mm; minus where it lies inside. */
export interface Cover {
  footStation: number
  stands: number
}

/** How much of a wall so thick may stand outside the steel before it stands on nothing, mm (common practice, no source). */
export const mostUncovered = (wallThickness: number): number => wallThickness * 0.5

/** Places of the outline that are looked at. */
const PLACES = 40

/** The cover of a foot all round, from the lateral to the medial buttress. */
export function coverOf(outline: FootOutline, outer: Track): Cover[] {
  const end = trackLength(outline.track)
  return Array.from({ length: PLACES + 1 }, (_, i) => {
    const footStation = (end * i) / PLACES
    const wall = placeAt(outline.track, footStation).point
    const rim = placeAt(outer, nearestStation(outer, wall))
    return { footStation, stands: -rightOf(rim, wall) }
  })
}

/** The least cover all round, mm. */
export const leastCover = (outline: FootOutline, outer: Track): number =>
  Math.min(...coverOf(outline, outer).map(({ stands }) => stands))
