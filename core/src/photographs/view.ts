import type { Vec } from '../geometry/vector'

/** How places of a plane, mm, come into a picture: nine numbers row by row, and how much its lens bends lines. */
export interface View {
  homography: readonly number[]
  /** Radial term; 0 for a lens that bends no lines. In half diagonals of the picture. */
  bend: number
  width: number
  height: number
}

const half = ({ width, height }: Pick<View, 'width' | 'height'>): number => Math.hypot(width, height) / 2

/** Where a place of the plane lies in the picture, pixels. */
export function seenAt(view: View, [x, y]: Vec): Vec {
  const h = view.homography
  const w = h[6]! * x + h[7]! * y + h[8]!
  return bent(view, [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w])
}

/** Which place of the plane is seen at a pixel, mm. */
export function placeAt(view: View, pixel: Vec): Vec {
  const [u, v] = straightened(view, pixel)
  const h = view.homography
  const [a, b, c, d] = [h[0]! - u * h[6]!, h[1]! - u * h[7]!, h[3]! - v * h[6]!, h[4]! - v * h[7]!]
  const [e, f] = [u * h[8]! - h[2]!, v * h[8]! - h[5]!]
  const under = a * d - b * c
  return [(e * d - b * f) / under, (a * f - e * c) / under]
}

/** Pixels to a mm of the plane near a place. */
export function fineness(view: View, at: Vec): number {
  const [here, beside, above] = [at, [at[0] + 1, at[1]] as Vec, [at[0], at[1] + 1] as Vec].map((p) =>
    seenAt(view, p),
  )
  return Math.sqrt(
    Math.abs(
      (beside![0] - here![0]) * (above![1] - here![1]) - (beside![1] - here![1]) * (above![0] - here![0]),
    ),
  )
}

function bent(view: View, [u, v]: Vec): Vec {
  if (view.bend === 0) return [u, v]
  const [cx, cy, r] = [view.width / 2, view.height / 2, half(view)]
  const [x, y] = [(u - cx) / r, (v - cy) / r]
  const by = 1 + view.bend * (x * x + y * y)
  return [cx + x * by * r, cy + y * by * r]
}

/** The other way round: the same lens looked through again and again until it stands still. */
function straightened(view: View, pixel: Vec): Vec {
  if (view.bend === 0) return pixel
  const [cx, cy, r] = [view.width / 2, view.height / 2, half(view)]
  const [x, y] = [(pixel[0] - cx) / r, (pixel[1] - cy) / r]
  let [a, b] = [x, y]
  for (let i = 0; i < 12; i++) {
    const by = 1 + view.bend * (a * a + b * b)
    a = x / by
    b = y / by
  }
  return [cx + a * r, cy + b * r]
}
