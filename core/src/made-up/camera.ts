import type { Vec } from '../geometry/vector'

/** A camera over the ground: what it sees at a pixel of a plane some mm above the ground, and where it sees a place. */
export interface Camera {
  width: number
  height: number
  /** Pixels from its lens to its sensor. */
  focal: number
  placeAt: (pixel: Vec, above: number) => Vec
  pixelOf: (place: Vec, above: number) => Vec
}

export interface Stand {
  width: number
  height: number
  /** From straight above, degrees, and toward which side, degrees from the plane's x. */
  tilt: number
  toward: number
  /** The camera turned about its own axis, degrees. */
  turn: number
  /** The place in the middle of the picture, and mm of ground across the shorter side there. */
  middle: Vec
  across: number
  /** How much the lens bends lines: radial term in half diagonals. */
  bend: number
  /** mm on 35 mm film. */
  focal35: number
}

type Three = [number, number, number]

const radians = (degrees: number): number => (degrees * Math.PI) / 180
const cross = (a: Three, b: Three): Three => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]

/** A camera that stands so: a pinhole behind a lens, by rays in space. */
export function cameraAt(stand: Stand): Camera {
  const { width, height, bend } = stand
  const focal = (stand.focal35 / Math.hypot(36, 24)) * Math.hypot(width, height)
  const far = (stand.across * focal) / Math.min(width, height)
  const [tilt, toward, turn] = [radians(stand.tilt), radians(stand.toward), radians(stand.turn)]
  const back: Three = [Math.sin(tilt) * Math.cos(toward), Math.sin(tilt) * Math.sin(toward), Math.cos(tilt)]
  const from: Three = [stand.middle[0] + back[0] * far, stand.middle[1] + back[1] * far, back[2] * far]
  // Right and down in the picture, square to the way it looks.
  const up: Three = [-Math.sin(turn), Math.cos(turn), 0]
  const sideways = cross(up, back)
  const long = Math.hypot(...sideways)
  const right = sideways.map((value) => value / long) as Three
  const down = cross(right, back)
  const half = Math.hypot(width, height) / 2
  return {
    width,
    height,
    focal,
    placeAt: ([u, v], above) => {
      const [bentX, bentY] = [(u - width / 2) / half, (v - height / 2) / half]
      // How much longer the lens makes it, found step by step from how long it became.
      const long = bend === 0 ? 0 : bentX * bentX + bentY * bentY
      let by = 1
      for (let i = 0; long > 0 && i < 5; i++) by = 1 + (bend * long) / (by * by)
      const [a, b] = [((bentX / by) * half) / focal, ((bentY / by) * half) / focal]
      const t = (above - from[2]) / (a * right[2] + b * down[2] - back[2])
      return [
        from[0] + t * (a * right[0] + b * down[0] - back[0]),
        from[1] + t * (a * right[1] + b * down[1] - back[1]),
      ]
    },
    pixelOf: ([x, y], above) => {
      const seen: Three = [x - from[0], y - from[1], above - from[2]]
      const part = (axis: Three) => seen[0] * axis[0] + seen[1] * axis[1] + seen[2] * axis[2]
      const depth = -part(back)
      const [a, b] = [(focal * part(right)) / depth / half, (focal * part(down)) / depth / half]
      const by = 1 + bend * (a * a + b * b)
      return [width / 2 + a * by * half, height / 2 + b * by * half]
    },
  }
}
