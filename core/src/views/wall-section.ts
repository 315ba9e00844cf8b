import { cotangent } from '../units/angle'
import type { Vec } from '../geometry/vector'
import type { Foot } from '../foot/measurements'
import type { Nail } from '../nails/nails'

/**
 * A cut through the wall square to it at one hole: x inward from the wall's ground edge, y up from it, mm. What lies
 * beyond the inner edge of the white line is alive.
 */
export interface WallSection {
  /** Outer face of the wall from the ground up. */
  face: readonly [Vec, Vec]
  /** Outer and inner edge of the white line, from the ground up. */
  lineOuter: readonly [Vec, Vec]
  lineInner: readonly [Vec, Vec]
  /** The way of the nail from the foot surface of the shoe to its exit, or as far as it is drawn. */
  way: readonly Vec[]
  /** Its deepest point inside the wall. */
  deepest: Vec
  /** How far the shoe's outer rim stands outside the wall's ground edge; minus inside it. */
  rimStands: number
  height: number
}

const STEPS = 24

/** Draws the wall and the way of a nail in it. */
export function wallSection(
  nail: Nail,
  foot: Pick<Foot, 'whiteLineWidth'>,
  turningRadius: number,
): WallSection {
  const { insideWall, throughPad, lean, wallAngle, exitHeight, wallThickness } = nail
  const height = Math.max(exitHeight * 1.35, 34)
  const along = (inside: number): readonly [Vec, Vec] => [
    [inside, 0],
    [inside + height * cotangent(wallAngle), height],
  ]
  const at = (z: number): Vec => [insideWall + z * cotangent(lean) - (z * z) / (2 * turningRadius), z]
  const way = Array.from({ length: STEPS + 1 }, (_, i) => at((exitHeight * i) / STEPS))
  const inside = ([x, z]: Vec) => x - z * cotangent(wallAngle)
  return {
    face: along(0),
    lineOuter: along(wallThickness),
    lineInner: along(wallThickness + foot.whiteLineWidth),
    way,
    deepest: way.reduce((most, point) => (inside(point) > inside(most) ? point : most), way[0]!),
    rimStands: nail.inset - (insideWall - throughPad),
    height,
  }
}
