import { HALVES, type Half } from '../terms/half'
import type { FootOutline } from './outline'

/** The places of the outline in the trade's words, from the toe back. */
export const REGIONS = ['toe', 'toe quarter', 'quarter', 'heel'] as const
export type Region = (typeof REGIONS)[number]

/** A stretch of the outline: a region of one half. Stations in mm along the outline. */
export interface Stretch {
  region: Region
  half: Half
  from: number
  to: number
}

/** Share of the way from the toe to the widest point at which the toe ends and the toe quarter ends. */
const TOE_ENDS = 0.28
const TOE_QUARTER_ENDS = 0.7
/** Share of the way from the widest point to the buttress at which the quarter ends. */
const QUARTER_ENDS = 0.5

/** The outline cut into its regions, lateral half first, each from the toe back (shares: common practice, no source). */
export function regionsOf(outline: FootOutline): Stretch[] {
  const { stations } = outline.track
  return HALVES.flatMap((half) => {
    const widest = half === 'lateral' ? outline.lateralWidest : outline.medialWidest
    const end = half === 'lateral' ? 0 : stations[stations.length - 1]!
    const ahead = (share: number) => outline.toe + (widest - outline.toe) * share
    const behind = widest + (end - widest) * QUARTER_ENDS
    const bounds = [outline.toe, ahead(TOE_ENDS), ahead(TOE_QUARTER_ENDS), behind, end]
    return REGIONS.map((region, i) => ({ region, half, from: bounds[i]!, to: bounds[i + 1]! }))
  })
}
