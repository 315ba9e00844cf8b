import { cotangent } from '../units/angle'
import { distance, turnRight } from '../geometry/vector'
import type { Plan } from '../plan/plan'
import type { Point } from './point'

/** A round hole through the shoe: a point of its middle line at ground level, which way it runs up, and its width, mm. */
export interface Bore {
  at: Point
  /** Upward by one millimetre. */
  along: Point
  diameter: number
}

/**
 * The holes of a shoe: each nail's leans inward as its wall does, those of screws stand upright.
 *
 * @param diameter of a nail hole, mm
 */
export function boresOf(
  { nails, cuts, parts }: Pick<Plan, 'nails' | 'cuts' | 'parts'>,
  diameter: number,
): Bore[] {
  const nailHoles = nails.map(({ x, y, lean }): Bore => {
    const near = cuts.reduce((best, cut) =>
      distance(cut.place.point, [x, y]) < distance(best.place.point, [x, y]) ? cut : best,
    )
    const out = turnRight(near.place.tangent)
    const inward = -cotangent(lean)
    return { at: [x, y, 0], along: [out[0] * inward, out[1] * inward, 1], diameter }
  })
  const screws = parts.flatMap(({ template }) =>
    (template?.holes ?? []).flatMap(({ at, diameter: wide }): Bore[] =>
      wide === undefined ? [] : [{ at: [at[0], at[1], 0], along: [0, 0, 1], diameter: wide }],
    ),
  )
  return [...nailHoles, ...screws]
}
