import { distance, subtract, type Vec } from '../geometry/vector'
import { degrees } from '../units/angle'

/** A line drawn on a photograph, pixels: x to the right, y down. */
export type DrawnLine = readonly [from: Vec, to: Vec]

const direction = ([from, to]: DrawnLine): number => {
  const [x, y] = subtract(to, from)
  return degrees(Math.atan2(-y, x))
}
const acute = (angle: number): number => {
  const turned = ((angle % 180) + 180) % 180
  return turned > 90 ? 180 - turned : turned
}

/** How steep a line stands against the lower edge of its picture, 0 to 90 degrees; nothing for two places that are one. */
export const steepness = (line: DrawnLine): number | undefined =>
  distance(...line) > 0 ? acute(direction(line)) : undefined

/** The angle between two lines, whichever way they were drawn, 0 to 90 degrees; nothing where one of them is none. */
export const acrossEach = (one: DrawnLine, other: DrawnLine): number | undefined =>
  distance(...one) > 0 && distance(...other) > 0 ? acute(direction(one) - direction(other)) : undefined

/** How long a line is, mm. */
export const lengthOf = (line: DrawnLine, mmPerPixel: number): number => distance(...line) * mmPerPixel
