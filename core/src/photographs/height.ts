import { Matrix, inverse } from 'ml-matrix'
import type { View } from './view'

/** What a phone's main camera usually has where the picture does not say: mm on 35 mm film. From memory. */
const USUAL_FOCAL_35 = 26
/** Half the diagonal of 35 mm film, mm. */
const FILM = Math.hypot(36, 24)

/** The focal length in pixels of a picture. @param focal35 as cameras write it beside a picture, mm on 35 mm film */
export const focalPixels = ({ width, height }: Pick<View, 'width' | 'height'>, focal35?: number): number =>
  ((focal35 ?? USUAL_FOCAL_35) / FILM) * Math.hypot(width, height)

/**
 * The plane that lies above the card's, toward the camera: what is nearer is seen larger and further out. Without the focal
 * length the usual one of a phone is taken, which is good for small heights.
 *
 * @param height mm above the card
 */
export function viewAbove(view: View, height: number, focal35?: number): View {
  if (height === 0) return view
  const focal = focalPixels(view, focal35)
  const camera = new Matrix([
    [focal, 0, view.width / 2],
    [0, focal, view.height / 2],
    [0, 0, 1],
  ])
  const h = view.homography
  const plane = inverse(camera).mmul(new Matrix([h.slice(0, 3), h.slice(3, 6), h.slice(6, 9)]))
  const [first, second, moved] = [0, 1, 2].map((column) => plane.getColumn(column)) as [
    number[],
    number[],
    number[],
  ]
  // What is seen lies before the camera: the card's middle at a distance that is positive.
  const long = ((Math.hypot(...first) + Math.hypot(...second)) / 2) * Math.sign(moved[2]!)
  const [r1, r2, t] = [first, second, moved].map((column) => column.map((value) => value / long)) as [
    number[],
    number[],
    number[],
  ]
  const up = [
    r1[1]! * r2[2]! - r1[2]! * r2[1]!,
    r1[2]! * r2[0]! - r1[0]! * r2[2]!,
    r1[0]! * r2[1]! - r1[1]! * r2[0]!,
  ]
  const above = camera.mmul(
    new Matrix([0, 1, 2].map((row) => [r1[row]!, r2[row]!, t[row]! + height * up[row]!])),
  )
  const whole = above.to1DArray()
  return { ...view, homography: whole.map((value) => value / whole[8]!) }
}
