import { pointAlong, stationsAlong } from '../geometry/walked'
import { distance, subtract, type Vec } from '../geometry/vector'
import type { DrawnOutline, Taps } from './placed'

/** Places looked at round an outline. */
const LOOKS = 240
/** How far about a place its turn is seen, as a share of the outline. */
const SEEN = 0.03

/**
 * Where toe and heels of a drawn outline are likely to lie, to begin from: never taken as set. The heels are the ends of an
 * open line; of a closed one the two sharpest turns on one side of it. The toe lies half way between them.
 */
export function proposedTaps(outline: DrawnOutline): Taps {
  const line = outline.closed ? [...outline.points, outline.points[0]!] : outline.points
  const stations = stationsAlong(line)
  const whole = stations[stations.length - 1]!
  const at = (share: number): Vec =>
    pointAlong(line, whole * (outline.closed ? share - Math.floor(share) : share), stations)
  const [from, to] = outline.closed ? heelsOf(at) : [0, 1]
  const [one, other] = [at(from), at(to)]
  let toe = at((from + to) / 2)
  let far = 0
  for (let i = 1; i < LOOKS; i++) {
    const point = at(from + ((to - from) * i) / LOOKS)
    const reach = Math.min(distance(point, one), distance(point, other))
    if (reach > far) [toe, far] = [point, reach]
  }
  return { toe, lateralHeel: one, medialHeel: other }
}

/** Shares of a closed outline at which its two heels lie: the sharpest turn, and the sharpest of what lies well off it. */
function heelsOf(at: (share: number) => Vec): [number, number] {
  const turns = Array.from({ length: LOOKS }, (_, i) => {
    const share = i / LOOKS
    const a = subtract(at(share), at(share - SEEN))
    const b = subtract(at(share + SEEN), at(share))
    return { share, turn: Math.abs(Math.atan2(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1])) }
  })
  const sharpest = (among: typeof turns) => among.reduce((best, one) => (one.turn > best.turn ? one : best))
  const first = sharpest(turns)
  const off = ({ share }: { share: number }) => {
    const gap = Math.abs(share - first.share)
    return Math.min(gap, 1 - gap)
  }
  const second = sharpest(turns.filter((one) => off(one) > 0.1 && off(one) < 0.4))
  const [low, high] = [Math.min(first.share, second.share), Math.max(first.share, second.share)]
  // Round the toe is the long way.
  return high - low > 0.5 ? [low, high] : [high, low + 1]
}
