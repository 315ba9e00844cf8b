import { along, cross, distance, dot, scale, subtract, unit, type Vec } from '../geometry/vector'
import type { RadiographPointKey } from '../terms/radiograph-points'

/** Marked places, pixels of the picture: x to the right, y down. */
export type RadiographPoints = Partial<Readonly<Record<RadiographPointKey, Vec>>>

/** The places in the frame of the ground, mm: x toward the toe, y up from the ground. */
export type OnGround = (key: RadiographPointKey) => Vec

/** Fewer than this and a line has no direction, mm. */
const LEAST_LINE = 5

/**
 * The ground as the frame of a picture: x along it toward the toe, y upward, whichever way the foot looks.
 *
 * @returns undefined where the ground was not marked, or its two places are one
 */
export function groundFrame(points: RadiographPoints, mmPerPixel: number): OnGround | undefined {
  const axes = axesOf(points, mmPerPixel)
  if (!axes) return undefined
  const { origin, ahead, up } = axes
  return (key) => {
    const from = subtract(points[key]!, origin)
    return scale([dot(from, ahead), dot(from, up)], mmPerPixel)
  }
}

/** The way back: where a place of the frame of the ground, mm, lies on the picture, pixels. */
export function onPicture(points: RadiographPoints, mmPerPixel: number): ((place: Vec) => Vec) | undefined {
  const axes = axesOf(points, mmPerPixel)
  if (!axes) return undefined
  const { origin, ahead, up } = axes
  return ([x, y]) => along(along(origin, ahead, x / mmPerPixel), up, y / mmPerPixel)
}

/** Places of a foot that stand above its ground, however the picture lies. */
const ABOVE = ['T', 'U', 'E', 'O1', 'O2', 'O3', 'P', 'C', 'W1', 'W2'] as const

function axesOf(points: RadiographPoints, mmPerPixel: number) {
  const { G1, G2 } = points
  if (!G1 || !G2 || distance(G1, G2) * mmPerPixel < LEAST_LINE) return undefined
  const ahead = unit(subtract(G1, G2))
  const across: Vec = [ahead[1], -ahead[0]]
  const stands = ABOVE.reduce((sum, key) => {
    const place = points[key]
    return place ? sum + dot(subtract(place, G2), across) : sum
  }, 0)
  // Upward is where the foot stands, square to the ground; while nothing of it is marked, where the picture is lower in
  // its count.
  const upward = stands === 0 ? ahead[0] > 0 : stands > 0
  const up: Vec = upward ? across : [-across[0], -across[1]]
  return { origin: G2, ahead, up }
}

/**
 * The middle of the circle through three places.
 *
 * @returns undefined where they lie in one line
 */
export function middleOfCircle(a: Vec, b: Vec, c: Vec): Vec | undefined {
  const [ab, ac] = [subtract(b, a), subtract(c, a)]
  const twice = 2 * cross(ab, ac)
  if (Math.abs(twice) < 1e-9 * (dot(ab, ab) + dot(ac, ac))) return undefined
  const [bb, cc] = [dot(ab, ab), dot(ac, ac)]
  return [a[0] + (ac[1] * bb - ab[1] * cc) / twice, a[1] + (ab[0] * cc - ac[0] * bb) / twice]
}
