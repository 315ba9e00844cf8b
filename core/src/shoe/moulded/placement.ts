import { nearestStation, placeAt, rightOf, track, trackLength, type Track } from '../../geometry/track'
import { rotated, turnRight, type Vec } from '../../geometry/vector'
import type { Moved } from '../../terms/moulded'

/** Where a rigid shoe lies: moved so far in the foot's frame, mm, after it is turned about the foot's origin, radians. */
export interface Placement {
  x: number
  y: number
  turn: number
}

/** A rim where it lies. */
export const placed = ({ points, tangents }: Track, { x, y, turn }: Placement): Track =>
  track(
    points.map((point): Vec => {
      const [a, b] = rotated(point, turn)
      return [a + x, b + y]
    }),
    tangents.map((way) => rotated(way, turn)),
  )

/** As it is moved by hand from where it lay: degrees turned, plus brings the toe to the inner side. */
export const movedBy = (at: Placement, { across = 0, forward = 0, turn = 0 }: Moved): Placement => ({
  x: at.x + across,
  y: at.y + forward,
  turn: at.turn + (turn * Math.PI) / 180,
})

/** Looked at along the toe and the inner branch: so far behind the middle of the toe, as a share of the branch. */
const FLUSH_TO = 0.72

const LOOKS = 32

/** A shoe that lies inside the wall there carries nothing: it counts so many times what stands out. */
const INSIDE = 4

/** How firmly the frog line is kept, against a millimetre at every place looked at: mm at this radius. */
const SQUARE_AT = 60

const ROUNDS = 12

/**
 * The placement that lays toe and inner branch of a rim flush with the line it should follow, as near as a shoe that
 * is not bent can: least squares, what lies inside the wall counted more.
 *
 * @param rim as it lies in the box, middle of the toe in the middle of it, walked from the outer to the inner heel
 * @param wanted the line the rim should follow, walked the same way
 * @param toe the foremost point of that line
 */
export function flushPlacement(rim: Track, wanted: Track, toe: Vec): Placement {
  const middle = trackLength(rim) / 2
  const looked = Array.from(
    { length: LOOKS + 1 },
    (_, i) => placeAt(rim, middle + (middle * FLUSH_TO * i) / LOOKS).point,
  )
  const start = placeAt(rim, middle).point
  let at: Placement = { x: toe[0] - start[0], y: toe[1] - start[1], turn: 0 }
  for (let round = 0; round < ROUNDS; round++) {
    const step = newtonStep(looked, wanted, at)
    at = { x: at.x + step[0], y: at.y + step[1], turn: at.turn + step[2] }
    if (Math.hypot(step[0], step[1], step[2] * 100) < 1e-6) break
  }
  return at
}

/** One Gauss-Newton step of the three unknowns. */
function newtonStep(looked: readonly Vec[], wanted: Track, at: Placement): Triple {
  const square = (SQUARE_AT * SQUARE_AT * looked.length) / 10
  // Normal equations, the frog line's wish among them.
  const left: [Triple, Triple, Triple] = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, square],
  ]
  const right: Triple = [0, 0, -square * at.turn]
  for (const point of looked) {
    const arm = rotated(point, at.turn)
    const here: Vec = [arm[0] + at.x, arm[1] + at.y]
    const beside = placeAt(wanted, nearestStation(wanted, here))
    const off = rightOf(beside, here)
    const out = turnRight(beside.tangent)
    const slope: Triple = [out[0], out[1], out[1] * arm[0] - out[0] * arm[1]]
    const weight = off < 0 ? INSIDE : 1
    for (let i = 0; i < 3; i++) {
      right[i]! -= weight * slope[i]! * off
      for (let j = 0; j < 3; j++) left[i]![j]! += weight * slope[i]! * slope[j]!
    }
  }
  return solved(left, right)
}

type Triple = [number, number, number]

/** Three equations with three unknowns, by determinants: a library of matrices would be fetched by every screen for these. */
function solved([a, b, c]: readonly [Triple, Triple, Triple], [p, q, r]: Triple): Triple {
  const det = (u: Triple, v: Triple, w: Triple): number =>
    u[0] * (v[1] * w[2] - v[2] * w[1]) -
    u[1] * (v[0] * w[2] - v[2] * w[0]) +
    u[2] * (v[0] * w[1] - v[1] * w[0])
  const whole = det(a, b, c)
  if (Math.abs(whole) < 1e-9) return [0, 0, 0]
  const without = (k: 0 | 1 | 2): number => {
    const put = (row: Triple, value: number): Triple => row.map((one, i) => (i === k ? value : one)) as Triple
    return det(put(a, p), put(b, q), put(c, r)) / whole
  }
  return [without(0), without(1), without(2)]
}
