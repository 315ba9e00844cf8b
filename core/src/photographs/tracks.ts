import { cross, dot, subtract, type Vec } from '../geometry/vector'
import type { Side } from '../terms/sides'
import { degrees } from '../units/angle'

/** A line that was tapped from behind to ahead, pixels: x to the right, y down. */
export type TappedLine = readonly [behind: Vec, ahead: Vec]

/**
 * By how much a foot's track points out from the line of travel, as seen from straight above: degrees, plus where its toe
 * points outward. A shoe that is turned inward by as much slides where the horse goes.
 *
 * @returns undefined where a line has no direction
 */
export function turnedOut(travel: TappedLine, track: TappedLine, side: Side): number | undefined {
  const [a, b] = [subtract(travel[1], travel[0]), subtract(track[1], track[0])]
  if (dot(a, a) === 0 || dot(b, b) === 0) return undefined
  // Counted down, a picture turns the other way about: plus is to the right of the way the horse goes.
  const right = degrees(Math.atan2(cross(a, b), dot(a, b)))
  return side.startsWith('L') ? -right : right
}
