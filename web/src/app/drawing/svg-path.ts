import type { Vec } from '@crescent/core'

/** Turns the foot's frame into a picture's: x to the side it is seen on, y down from the toe, both in mm. */
export interface View {
  /** 1 when lateral is on the right, -1 when it is on the left. */
  mirror: 1 | -1
  /** y of the toe in the foot's frame. */
  toeY: number
}

/** The sole with the toe up: lateral lies on the right of a left foot and on the left of a right foot. */
export const soleView = (side: string, toeY: number): View => ({
  mirror: side.startsWith('L') ? 1 : -1,
  toeY,
})

/** A point of the foot in the picture. */
export const seen = ([x, y]: Vec, { mirror, toeY }: View): Vec => [x * mirror, toeY - y]

/** The part of the picture that holds all points, with some room about it: a view box. */
export function boxOf(points: readonly Vec[], view: View, room: number): string {
  const inPicture = points.map((point) => seen(point, view))
  const [xs, ys] = [inPicture.map(([x]) => x), inPicture.map(([, y]) => y)]
  const [left, top] = [Math.min(...xs) - room, Math.min(...ys) - room]
  return `${left} ${top} ${Math.max(...xs) + room - left} ${Math.max(...ys) + room - top}`
}

/** A place in the picture as a point of the foot. */
export const unseen = ([x, y]: Vec, { mirror, toeY }: View): Vec => [x * mirror, toeY - y]

/** A line of points as SVG path data, to a hundredth of a millimetre. Written for speed: a drag redraws every line. */
export function svgPath(points: readonly Vec[], { mirror, toeY }: View, closed = false): string {
  let path = ''
  for (const [x, y] of points) {
    const right = Math.round(x * mirror * 100) / 100
    const down = Math.round((toeY - y) * 100) / 100
    path += path === '' ? `M${right} ${down}` : `L${right} ${down}`
  }
  return closed ? path + 'Z' : path
}

/** What stands upright, y counted up from the ground: a foot from its side, a section, a cut. */
const UPRIGHT: View = { mirror: 1, toeY: 0 }

/** A line of points that stands upright, as SVG path data. */
export const uprightPath = (points: readonly Vec[], closed = false): string =>
  svgPath(points, UPRIGHT, closed)

/** Several closed lines as one path: filled by the even-odd rule, those within others are holes. */
export const svgRings = (rings: readonly (readonly Vec[])[], view: View): string =>
  rings.map((ring) => svgPath(ring, view, true)).join('')
