import type { Foot } from '../foot/measurements'
import type { FootOutline } from '../foot/outline'
import { branchRun } from './branch-run'
import type { Fit } from './fit'

/** The bulb stands this share of its buttress's half width in at the bulb line, as the foot is drawn. */
const BULB_IN = 0.14

/** How far off straight back the bulbs run, radians. */
export const asTheBulbs = ({ heelWidth, bulbLine }: Foot): number =>
  Math.atan2((heelWidth / 2) * BULB_IN, Math.max(bulbLine, 1))

/**
 * How far off straight back the branches turn inward behind the buttress, radians: not at all, or as the bulbs do; no
 * further than leaves the frog free between the heels.
 *
 * @param web of the bar, mm
 */
export function turnedIn(fit: Fit, foot: Foot, { track }: FootOutline, web: number): number {
  const { behind, heelLength, spread } = fit
  if (behind === 'straight back' || heelLength <= 0) return 0
  const { run } = branchRun(track, {
    heelLength: { lateral: heelLength, medial: heelLength },
    turnedIn: 0,
    reach: () => spread,
  })
  const nearest = Math.min(run.points[0]![0], -run.points[run.points.length - 1]![0])
  const free = nearest + spread - web - foot.frogWidth / 2
  return Math.min(asTheBulbs(foot), Math.asin(Math.min(1, Math.max(0, free / heelLength))))
}
