import type { Foot } from '../../foot/measurements'
import type { FootOutline } from '../../foot/outline'
import { rawParallel } from '../../geometry/parallel'
import { nearestStation, placeAt, trackLength, type Track } from '../../geometry/track'
import type { Vec } from '../../geometry/vector'
import type { Half } from '../../terms/half'
import { branchRun } from '../branch-run'
import type { Lay } from '../lay'
import { stationBeside } from '../rims'

/** The line a rim should follow goes on so far behind the buttress, as a share of the foot's length. */
const BEYOND = 0.6

/** The line that the outer rim of a shoe should follow, longer than any shoe. */
export interface WantedRim {
  line: Track
  /** Its foremost point. */
  toe: Vec
  /** How far behind its buttress a place of a rim lies, along the run, mm; minus before it. */
  behind: (branch: Half, point: Vec) => number
}

/** @param asWanted how a shoe that could be bent would lie */
export function wantedRim(foot: Foot, outline: FootOutline, asWanted: Lay): WantedRim {
  const beyond = foot.length * BEYOND
  const { run, start } = branchRun(outline.track, {
    ...asWanted,
    heelLength: { lateral: beyond, medial: beyond },
  })
  const line = rawParallel(run, (station) => asWanted.reach(station - start))
  return {
    line,
    toe: placeAt(line, stationBeside(run, line, outline.toe + start)).point,
    behind: (branch, point) => {
      const onRun = stationBeside(line, run, nearestStation(line, point)) - start
      return branch === 'lateral' ? -onRun : onRun - trackLength(outline.track)
    },
  }
}
