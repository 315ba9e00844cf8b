import { add, dot, scale, subtract, turnRight, unit, type Vec } from '../geometry/vector'
import { colourAt, type Picture } from './picture'
import { fineness, seenAt, type View } from './view'

/** A part of a plane as it is looked at from straight above, the toe up. */
export interface FromAbove {
  /** The plane's place in the middle of its lower edge, and the way up, mm. */
  heels: Vec
  ahead: Vec
  /** What of it lies below the heels, mm. */
  below: number
  mmPerPixel: number
  width: number
  height: number
}

/** Left free all round, mm. */
const ROOM = 15
/** No higher than this, pixels: as fine as a phone takes a foot that fills its picture. */
const HIGHEST = 2_400
/** What is far larger than any foot is a wrong scale, mm. */
const LARGEST = 800

/**
 * The frame of an outline looked at from straight above, as fine as the photograph is there.
 *
 * @param outline mm in the plane
 * @param toe its place in the plane, mm
 * @param heels both heels, mm
 */
export function aboveOf(
  outline: readonly Vec[],
  toe: Vec,
  heels: readonly [Vec, Vec],
  view: View,
): FromAbove {
  const middle = scale(add(heels[0], heels[1]), 0.5)
  const ahead = unit(subtract(toe, middle))
  const right = turnRight(ahead)
  const seen = [...outline, toe, ...heels].map((place) => {
    const from = subtract(place, middle)
    return [Math.abs(dot(from, right)), dot(from, ahead)] as const
  })
  const half = Math.min(LARGEST / 2, Math.max(...seen.map(([across]) => across)) + ROOM)
  const top = Math.min(LARGEST, Math.max(...seen.map(([, up]) => up)) + ROOM)
  const below = ROOM - Math.min(0, ...seen.map(([, up]) => up))
  const finest = 1 / fineness(view, middle)
  const mmPerPixel = Math.max(finest, (top + below) / HIGHEST, (2 * half) / HIGHEST)
  return {
    ...{ heels: middle, ahead, below, mmPerPixel },
    width: Math.round((2 * half) / mmPerPixel),
    height: Math.round((top + below) / mmPerPixel),
  }
}

/** Where a place of the plane lies in the picture from above, pixels. */
export function inAbove(frame: FromAbove, place: Vec): Vec {
  const from = subtract(place, frame.heels)
  return [
    frame.width / 2 + dot(from, turnRight(frame.ahead)) / frame.mmPerPixel,
    frame.height - (frame.below + dot(from, frame.ahead)) / frame.mmPerPixel,
  ]
}

/** The photograph as it would have been taken from straight above: every length in it is to one scale. */
export function fromAbove(picture: Picture, view: View, frame: FromAbove): Picture {
  const { width, height, mmPerPixel, heels, below } = frame
  const data = new Uint8ClampedArray(width * height * 4)
  const up = scale(frame.ahead, mmPerPixel)
  const right = turnRight(up)
  const corner = add(add(heels, scale(right, -width / 2 + 0.5)), scale(up, height - 0.5 - below / mmPerPixel))
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at += 4) {
      const place: Vec = [corner[0] + right[0] * x - up[0] * y, corner[1] + right[1] * x - up[1] * y]
      const [u, v] = seenAt(view, place)
      data[at + 3] = 255
      if (u < 0 || v < 0 || u > picture.width - 1 || v > picture.height - 1) continue
      const [red, green, blue] = colourAt(picture, u, v, 1)
      data[at] = red
      data[at + 1] = green
      data[at + 2] = blue
    }
  return { width, height, data }
}
