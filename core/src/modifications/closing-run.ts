import { cubic } from '../geometry/cubic'
import { rawParallel } from '../geometry/parallel'
import { path } from '../geometry/path'
import { placeAt, trackCurve, trackLength, type Track } from '../geometry/track'
import { along, type Vec } from '../geometry/vector'
import type { Section } from '../records/shoe'
import { centroidFromOuter, sectionArea } from '../shoe/section-form'
import type { ShoeContext } from './modification'

const STEPS = 48

/**
 * The middle of a bar that closes the shoe behind the heels, from the lateral heel round the back to the medial one.
 *
 * @param y of the middle of its hindmost stretch, in the foot's frame
 */
export function closingRun(context: ShoeContext, y: number): Track {
  const { centreline } = context.rims
  const from = placeAt(centreline, 0)
  const to = placeAt(centreline, trackLength(centreline))
  const half = (point: Vec, backward: Vec) => {
    const reach = Math.max(3, (point[1] - y) * 0.6)
    // Long handles in the middle: a flat back with round corners, as the bulbs are.
    const round = Math.abs(point[0]) * 0.72
    return { leave: along(point, backward, reach), round }
  }
  // Backward along the branch: against the walk at the lateral end, with it at the medial one.
  const lateral = half(from.point, [-from.tangent[0], -from.tangent[1]])
  const medial = half(to.point, to.tangent)
  const middle: Vec = [0, y]
  return trackCurve(
    path([
      cubic(from.point, lateral.leave, [lateral.round, y], middle),
      cubic(middle, [-medial.round, y], medial.leave, to.point),
    ]),
    STEPS,
  )
}

/**
 * Volume of the bar along a run, mm3, with what raises it: each section by the way of its own middle, which in a bar whose
 * inner edge is thin lies on the outside of the turn.
 */
export function runVolume(run: Track, section: Section, raised: ShoeContext['raisedBehind']): number {
  const areaAt = (i: number) =>
    sectionArea({ ...section, thickness: section.thickness + (raised?.(run.points[i]![1]) ?? 0) })
  const outside = section.width / 2 - centroidFromOuter(section)
  const { stations } = rawParallel(run, -outside)
  return stations.reduce(
    (sum, station, i) =>
      i === 0 ? 0 : sum + ((areaAt(i) + areaAt(i - 1)) / 2) * (station - stations[i - 1]!),
    0,
  )
}

/** How far a line lies behind the middle of the hindmost heel end, mm; minus before it. */
export function behindHeels({ rims }: ShoeContext, y: number): number {
  const { points } = rims.centreline
  return Math.min(points[0]![1], points[points.length - 1]![1]) - y
}
