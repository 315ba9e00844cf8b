import type { Vec } from '../geometry/vector'
import type { Section } from '../records/shoe'

/** A section carried along a line of the foot's frame, mm. */
export type Swept =
  | {
      as: 'bar'
      /** Its middle; the edge that lies outside in a shoe lies to the left. */
      line: readonly Vec[]
      section: Section
      /** How high it is at each point of the line. */
      heights: readonly number[]
    }
  | {
      as: 'rod'
      line: readonly [Vec, Vec]
      /** Its diameter, and how high its middle lies. */
      across: number
      middle: number
    }
  | {
      as: 'half-round'
      /** In the middle of its flat, which stands upright on the ground. */
      line: readonly [Vec, Vec]
      /** To which side of the line it is round: 1 to the right of the walk along it. */
      side: 1 | -1
      width: number
      height: number
    }
