import { along, distance, mix, subtract, unit, type Vec } from '../geometry/vector'
import type { RadiographPointKey } from '../terms/radiograph-points'
import { draws, mottled } from './drawn'
import { madeLimb, USUAL_LIMB, type LimbTruth } from './limb'
import { boxOf, distanceFrom } from './near-line'

/** A grey picture deeper than eight bits, row by row from its top left. */
export interface MadeRadiograph {
  width: number
  height: number
  /** 0 to 16383: brighter where less came through. */
  data: Uint16Array
}

/** How a made-up radiograph is taken; what is not said follows from the seed. */
export interface RadiographWish {
  seed: number
  width?: number
  /** Figures of the limb that are to be as said. */
  limb?: Partial<LimbTruth>
}

/** What is true of it: its places in pixels, its scale, a marker of known length, the figures of the limb. */
export interface RadiographTruth {
  seed: number
  mmPerPixel: number
  points: Record<RadiographPointKey, Vec>
  marker: { from: Vec; to: Vec; long: number }
  limb: LimbTruth
}

/** mm of limb across a picture. */
const ACROSS = 240
/** A metal rod that lies in the plane of the foot, mm. */
const MARKER = 50
/** Of 14 bits. */
const MOST = 16383

/** A lateral radiograph of a front foot on its block, made up, with all that is true of it. */
export function madeUpRadiograph(wish: RadiographWish): { picture: MadeRadiograph; truth: RadiographTruth } {
  const draw = draws(wish.seed)
  const between = (from: number, to: number) => from + draw() * (to - from)
  const breakoverAhead = between(18, 36)
  const limb: LimbTruth = {
    ...USUAL_LIMB,
    palmarAngle: between(-1, 9),
    wallAngle: between(47, 55),
    rotation: draw() < 0.6 ? between(-0.5, 1.5) : between(3, 11),
    alignment: between(-6, 5),
    sinking: between(3, 12),
    wallLow: between(15, 20),
    soleTip: between(10, 20),
    breakoverAhead,
    // The joint lies under and behind the top of P3, wherever the foot breaks over.
    lever: breakoverAhead + between(53, 58),
    ...wish.limb,
  }
  const width = wish.width ?? 1600
  const height = Math.round(width * 0.8)
  const mmPerPixel = ACROSS / width
  const placed = madeLimb(limb, { mmPerPixel, turn: between(-2, 2), looksLeft: draw() < 0.5 })
  // The picture is cut about the limb: what is furthest out keeps a margin.
  const { left, right, bottom, top } = boxOf([...Object.values(placed)], 0)
  const moved: Vec = [width / 2 - (left + right) / 2, height * 0.56 - (bottom + top) / 2]
  const points = Object.fromEntries(
    Object.entries(placed).map(([key, [x, y]]) => [key, [x + moved[0], y + moved[1]]]),
  ) as unknown as Record<RadiographPointKey, Vec>
  const from: Vec = [width * 0.06, height * 0.1]
  const marker = { from, to: [from[0] + MARKER / mmPerPixel, from[1]] as Vec, long: MARKER }
  return {
    picture: exposed(points, marker, { width, height, mmPerPixel, seed: wish.seed }),
    truth: { seed: wish.seed, mmPerPixel, points, marker, limb },
  }
}

interface Plate {
  width: number
  height: number
  mmPerPixel: number
  seed: number
}

/** What stands in the way of the rays, each with how much it holds back. */
function shapes(
  p: Record<RadiographPointKey, Vec>,
  mm: number,
): { line: Vec[]; holds: number; soft: number }[] {
  const centre = circleThrough(p.O1, p.O2, p.O3)
  const radius = distance(centre, p.O1)
  const ahead = unit(subtract(p.G1, p.G2))
  const up = unit(subtract(p.E, mix(p.G1, p.G2, 0.5)))
  const square: Vec = [ahead[1], -ahead[0]]
  const lift: Vec = square[0] * up[0] + square[1] * up[1] > 0 ? square : [-square[0], -square[1]]
  const shift = (from: Vec, forward: number, above: number): Vec =>
    along(along(from, ahead, forward * mm), lift, above * mm)
  const round = Array.from({ length: 48 }, (_, i): Vec => {
    const turn = (i / 48) * 2 * Math.PI
    return [centre[0] + Math.cos(turn) * radius, centre[1] + Math.sin(turn) * radius]
  })
  const bone = unit(subtract(p.P, centre))
  const side: Vec = [bone[1], -bone[0]]
  const shaft = (from: number, to: number, wide: number, wider: number): Vec[] => {
    const at = (far: number, out: number) => along(along(centre, bone, far * mm), side, out * mm)
    return [
      at(from, wide),
      at((from + to) / 2, wide * 0.8),
      at(to, wider),
      at(to, -wider),
      at((from + to) / 2, -wide * 0.8),
      at(from, -wide),
    ]
  }
  // P3: its front, tip and underside as marked; behind, its wing; above, the hollow that holds the joint.
  const hollow = [-150, -125, -100, -75, -50, -25].map((degrees) => {
    const turn = (degrees * Math.PI) / 180
    const far = (radius + 2 * mm) / mm
    return shift(centre, Math.cos(turn) * far, Math.sin(turn) * far)
  })
  const coffin = [p.E, p.T, p.U, shift(p.U, -9, 8), shift(p.U, -6, 20), ...hollow]
  const capsule = [
    p.C,
    p.W1,
    p.W2,
    p.B,
    shift(p.H, 0, 0),
    shift(p.H, -12, 16),
    shift(p.H, -16, 44),
    shift(p.C, -78, 18),
    shift(p.C, -10, 10),
  ]
  const pastern = [
    shift(p.C, 2, -6),
    along(shift(p.C, 4, 12), bone, 90 * mm),
    along(shift(p.C, -76, 22), bone, 90 * mm),
    shift(p.H, -16, 40),
  ]
  const block = [p.G1, p.G2, shift(p.G2, 0, -14), shift(p.G1, 0, -14)]
  const pin = [shift(p.F, -1, -2), shift(p.F, 1, -2), shift(p.F, 0.4, 6), shift(p.F, -0.4, 6)]
  return [
    { line: capsule, holds: 0.34, soft: 2 },
    { line: pastern, holds: 0.24, soft: 5 },
    { line: coffin, holds: 0.34, soft: 0.8 },
    { line: round, holds: 0.38, soft: 0.8 },
    { line: shaft(8, 44, 15, 19), holds: 0.38, soft: 0.8 },
    { line: shaft(47, 130, 19, 16), holds: 0.4, soft: 0.8 },
    { line: block, holds: 0.22, soft: 0.4 },
    { line: pin, holds: 0.9, soft: 0.3 },
  ]
}

/** The plate: what is held back, and the grain of the rays. */
function exposed(
  points: Record<RadiographPointKey, Vec>,
  marker: RadiographTruth['marker'],
  { width, height, mmPerPixel, seed }: Plate,
): MadeRadiograph {
  const draw = draws(seed + 3)
  const rod: Vec[] = [
    [marker.from[0], marker.from[1] - 1.5 / mmPerPixel],
    [marker.to[0], marker.to[1] - 1.5 / mmPerPixel],
    [marker.to[0], marker.to[1] + 1.5 / mmPerPixel],
    [marker.from[0], marker.from[1] + 1.5 / mmPerPixel],
  ]
  // A shape is followed in mm: then its softness is the same on every plate.
  const inMm = (line: readonly Vec[]) => line.map(([x, y]): Vec => [x * mmPerPixel, y * mmPerPixel])
  const held = [...shapes(points, 1 / mmPerPixel), { line: rod, holds: 0.95, soft: 0.2 }].map(
    ({ line, holds, soft }) => ({
      off: distanceFrom(inMm(line)),
      holds,
      soft,
    }),
  )
  const data = new Uint16Array(width * height)
  for (let v = 0, i = 0; v < height; v++)
    for (let u = 0; u < width; u++, i++) {
      const [x, y] = [u * mmPerPixel, v * mmPerPixel]
      let through = 1
      for (const { off, holds, soft } of held) {
        const inside = 0.5 + off(x, y) / (2 * soft)
        if (inside > 0) through *= 1 - holds * Math.min(1, inside)
      }
      const trabeculae = 0.02 * mottled(x * 0.7, y * 0.7, seed)
      const noise = (draw() + draw() - 1) * 0.02
      data[i] = Math.round(
        MOST * Math.min(1, Math.max(0, 0.08 + 0.86 * (1 - through * (1 + trabeculae)) + noise)),
      )
    }
  return { width, height, data }
}

/** The middle of the circle through three places. */
function circleThrough([ax, ay]: Vec, [bx, by]: Vec, [cx, cy]: Vec): Vec {
  const under = 2 * (ax * (by - cy) + bx * (cy - ay) + cx * (ay - by))
  const [a, b, c] = [ax * ax + ay * ay, bx * bx + by * by, cx * cx + cy * cy]
  return [
    (a * (by - cy) + b * (cy - ay) + c * (ay - by)) / under,
    (a * (cx - bx) + b * (ax - cx) + c * (bx - ax)) / under,
  ]
}
