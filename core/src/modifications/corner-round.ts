import { halved } from '../geometry/halved'
import { nearestStation, placeAt, sliceTrack, track, trackLength, type Track } from '../geometry/track'
import {
  along,
  angleOf,
  cross,
  distance,
  dot,
  rotated,
  scale,
  subtract,
  turnRight,
  type Vec,
} from '../geometry/vector'
import type { Rims } from '../shoe/rims'
import type { Half } from '../terms/half'

/** The tightest round in the opening of a closed shoe, as a share of the bar's width (common practice, no source). */
const TIGHTEST = 1

/** A round that would begin nearer to the heel end is none, as a share of its radius: the run itself is nearly as wide. */
const LEAST_WAY = 1 / 8

/** No round reaches further forward, as a share of the rim. */
const MOST_WAY = 1 / 4

/** How near the place where a round touches is found, mm. */
const EXACT = 1e-3

/** Halvings of a step along the rim that find it as near. */
const HALVINGS = 12

/** Steps a round is drawn in, radians. */
const STEP = 0.1

/** Drawn on ahead of where it touches, mm, and so deep into the branch: both are drawn in chords, and must meet. */
const LEAD = 3
const DEEP = 0.15

/** A round between the inner rim of a branch and the bar behind it. */
export interface CornerRound {
  /** From the heel end along the rim to where it touches it. */
  rim: readonly Vec[]
  /** In the branch, before it touches. */
  lead: Vec
  round: Vec[]
  /** The station of the run beside which it arrives. */
  reaches: number
}

/**
 * A round that touches the inner rim of a branch and the inner side of a run that leaves it: in place of the corner they
 * meet in where the run turns tightly.
 *
 * @param width of the bar along the run, mm
 * @returns nothing where the run itself turns as widely
 */
export function cornerRound(
  { inner }: Rims,
  run: Track,
  width: number,
  branch: Half,
): CornerRound | undefined {
  const ends = distance(inner.points[0]!, inner.points[inner.points.length - 1]!)
  const radius = Math.min(width * TIGHTEST, ends / 2)
  const rim = branch === 'lateral' ? inner : turnedBack(inner)
  // The rims are walked counter-clockwise, the steel on their right.
  const toBranch = (way: Vec) => (branch === 'lateral' ? turnRight(way) : scale(turnRight(way), -1))
  const middleAt = (station: number): Vec => {
    const { point, tangent } = placeAt(rim, station)
    return along(point, toBranch(tangent), -radius)
  }
  const cutsIntoRun = (station: number): boolean => {
    const middle = middleAt(station)
    const off = distance(middle, placeAt(run, nearestStation(run, middle)).point)
    return off - (radius + width / 2) < -EXACT
  }
  const [step, most] = [radius * LEAST_WAY, trackLength(rim) * MOST_WAY]
  let station = 0
  while (station < most && cutsIntoRun(station)) station += step
  if (station >= most) return undefined
  const touches = halved(Math.max(0, station - step), station, cutsIntoRun, HALVINGS)
  if (touches < step) return undefined
  const { point, tangent } = placeAt(rim, touches)
  const middle = middleAt(touches)
  const reaches = nearestStation(run, middle)
  return {
    rim: sliceTrack(rim, 0, touches).points,
    lead: along(along(point, toBranch(tangent), DEEP), tangent, LEAD),
    round: roundFrom(middle, point, placeAt(run, reaches).point),
    reaches,
  }
}

/** The same track, walked from its other end. */
function turnedBack({ points, tangents }: Track): Track {
  return track(points.slice().reverse(), tangents.map((way) => scale(way, -1)).reverse())
}

/** Points of the round about a middle, from where it begins to where it points at some place, the short way. */
function roundFrom(middle: Vec, begins: Vec, toward: Vec): Vec[] {
  const from = subtract(begins, middle)
  const to = subtract(toward, middle)
  const turn = angleOf(cross(from, to), dot(from, to))
  const steps = Math.ceil(Math.abs(turn) / STEP)
  return Array.from({ length: steps + 1 }, (_, k): Vec => {
    const [x, y] = rotated(from, (turn * k) / steps)
    return [middle[0] + x, middle[1] + y]
  })
}
