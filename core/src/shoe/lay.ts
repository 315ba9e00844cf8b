import type { Half } from '../terms/half'
import type { Foot } from '../foot/measurements'
import type { FootOutline } from '../foot/outline'
import type { Track } from '../geometry/track'
import type { Vec } from '../geometry/vector'
import type { BehindButtress } from './branch-run'
import { fitReach, type Fit } from './fit'
import { turnedIn } from './turned-in'

/** A place of the shoe as it is laid, before its web is known. */
export interface LayPlace {
  branch: Half
  /** 0 at the middle of the toe, 1 at the end of the branch, along the outer rim. */
  share: number
  /** Along the outer rim, mm. */
  fromToe: number
  fromHeel: number
  /** On the outer rim. */
  point: Vec
}

/** The outer rim with the stations of its toe and of the bends of its quarters. */
export interface OuterRim {
  track: Track
  lateralBend: number
  toe: number
  medialBend: number
}

/**
 * How a shoe is laid under the foot, before there is any steel: how far each branch runs, how far the rim stands
 * outside the wall, how wide the web is at each place. A modification of the outline answers another lay.
 */
export interface Lay extends BehindButtress {
  /** From the wall outward, mm, by station on the foot's outline. */
  reach: (footStation: number) => number
  /** mm. */
  web: (place: LayPlace) => number
  /** What is made of the outer rim once it is laid: a heel turned out, a toe squared. */
  rework: (rim: OuterRim) => OuterRim
}

/** The lay of a plain shoe. */
export const plainLay = (fit: Fit, foot: Foot, outline: FootOutline, width: number): Lay => ({
  heelLength: { lateral: fit.heelLength, medial: fit.heelLength },
  turnedIn: turnedIn(fit, foot, outline, width),
  reach: fitReach(fit, outline),
  web: () => width,
  rework: (rim) => rim,
})
