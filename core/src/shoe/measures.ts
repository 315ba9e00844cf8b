import { placeAt, trackLength, type Track } from '../geometry/track'
import { distance, type Vec } from '../geometry/vector'
import { shoeBody, type Rims } from './rims'

/** A rule laid from one place to another of a shoe, and what it shows, mm. */
export interface LaidRule {
  value: number
  between: readonly [Vec, Vec]
}

/**
 * What a finished shoe is compared by: on the card, at the anvil, on a template and when it is tried. Each is one thing,
 * and its line is where the rule lies.
 */
export interface ShoeMeasures {
  /** Outside to outside at the widest, square to the middle line. */
  width: LaidRule
  /** Outside to outside at the heel ends, where the outer edges come to a corner with the ends. */
  heelsOutside: LaidRule
  /** The same from the middle of the web to the middle of the web. */
  heelsMiddle: LaidRule
  /**
   * From the outside of the toe to a rule laid across the heels: it touches the heel that reaches furthest back, where it
   * is rounded. Of a shoe that a bar closes it is the mark where the branch ends.
   */
  length: LaidRule
}

const laid = (from: Vec, to: Vec): LaidRule => ({ value: distance(from, to), between: [from, to] })

const ends = (line: Track): [Vec, Vec] => [placeAt(line, 0).point, placeAt(line, trackLength(line)).point]

/** A rule laid square to the middle line, between two ends that need not lie level. */
const across = ([lateral, medial]: [Vec, Vec]): LaidRule => laid(lateral, [medial[0], lateral[1]])

/** The two ways farriers compare heels, mm. */
export const heelWidths = ({ outer, centreline }: Rims): { outside: number; middleOfWeb: number } => ({
  outside: across(ends(outer)).value,
  middleOfWeb: across(ends(centreline)).value,
})

/** From the toe to a rule across the rounded heels. */
export const lengthwise = (rims: Pick<Rims, 'outer' | 'inner' | 'web'>): LaidRule =>
  toRule(rims.outer, shoeBody(rims))

/** From the toe straight back to a rule that touches the hindmost of some places. */
function toRule({ points }: Track, behind: readonly Vec[]): LaidRule {
  const toe = furthest(points, ([, y]) => y)
  return laid(toe, [toe[0], furthest(behind, ([, y]) => -y)[1]])
}

const furthest = (points: readonly Vec[], way: (point: Vec) => number): Vec =>
  points.reduce((far, point) => (way(point) > way(far) ? point : far))

/** @param closed a bar goes on from the heels: they are not rounded */
export function shoeMeasures(rims: Rims, closed: boolean): ShoeMeasures {
  const { points } = rims.outer
  const [left, right] = [furthest(points, ([x]) => x), furthest(points, ([x]) => -x)]
  const heels = ends(rims.outer)
  return {
    width: laid(left, [right[0], left[1]]),
    heelsOutside: across(heels),
    heelsMiddle: across(ends(rims.centreline)),
    length: closed ? toRule(rims.outer, heels) : lengthwise(rims),
  }
}
