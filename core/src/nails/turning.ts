import { cotangent } from '../units/angle'

/** A nail that was driven and looked at. */
export interface SeenNail {
  /** Inside the wall's ground edge, mm. */
  insideWall: number
  lean: number
  wallAngle: number
  /** How high it came out, mm. */
  seen: number
}

/** What the nails that were seen say about how they turn. */
export interface TurningRadius {
  /** mm: the middle one of all. */
  radius: number
  /** Half of them lie between these. */
  low: number
  high: number
  count: number
}

/** What a practice knows about how its nails turn. */
export interface NailTurning {
  /** Nails whose exit was written down. */
  seen: number
  /** None until enough of them say something. */
  turning: TurningRadius | null
}

/**
 * The radius along which one nail turned: from z cot(wall) = d + z cot(lean) - z^2 / 2R at its exit.
 * Undefined where no turning explains it: it came out lower than a straight nail would.
 */
export function radiusOf({ insideWall, lean, wallAngle, seen }: SeenNail): number | undefined {
  const straight = insideWall + seen * (cotangent(lean) - cotangent(wallAngle))
  return straight > 0.05 && seen > 0 ? (seen * seen) / (2 * straight) : undefined
}

/** Nails that must have been seen before they say anything. */
const LEAST_SEEN = 3

/** The radius from all nails that were seen; undefined for fewer than three. */
export function turningRadius(nails: readonly SeenNail[]): TurningRadius | undefined {
  const radii = nails
    .map(radiusOf)
    .filter((radius) => radius !== undefined)
    .sort((a, b) => a - b)
  if (radii.length < LEAST_SEEN) return undefined
  const at = (share: number): number => {
    const place = share * (radii.length - 1)
    const low = Math.floor(place)
    return radii[low]! + (radii[Math.min(radii.length - 1, low + 1)]! - radii[low]!) * (place - low)
  }
  return { radius: at(0.5), low: at(0.25), high: at(0.75), count: radii.length }
}
