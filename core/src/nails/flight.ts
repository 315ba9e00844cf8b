import { cotangent } from '../units/angle'

/** How a nail goes through the wall, heights and depths in mm. */
export interface NailFlight {
  /** Height above the ground face of the wall at which the point comes out. */
  exitHeight: number
  /** Greatest depth inside the outer face of the wall, measured level. */
  deepest: number
}

/**
 * The way of a nail through the wall. It enters `inside` mm within the wall's ground edge and leans at `lean`; its
 * bevel turns it outward along an arc of radius R, so at height z it lies at x = d + z cot(lean) - z^2 / 2R, while the
 * wall's outside lies at x = z cot(wall).
 *
 * @param inside mm, more than 0
 * @param lean degrees from the ground
 * @param wall degrees from the ground
 * @param turningRadius mm
 */
export function nailFlight(inside: number, lean: number, wall: number, turningRadius: number): NailFlight {
  const opening = cotangent(lean) - cotangent(wall)
  const exitHeight = turningRadius * (opening + Math.sqrt(opening * opening + (2 * inside) / turningRadius))
  const deepest = inside + (opening > 0 ? (turningRadius * opening * opening) / 2 : 0)
  return { exitHeight, deepest }
}
