import { add, cross, distance, dot, scale, subtract, type Vec } from '../geometry/vector'

/** How one picture is laid over another: every place is turned and sized by `turn`, then moved by `by`. */
export interface LaidOver {
  /** Cosine and sine of the turn, both times how much larger it comes out. */
  turn: Vec
  by: Vec
  /** How far apart the places then lie, the root of the mean square, pixels of the picture below. */
  off: number
}

/**
 * Lays places of one picture over the same places of another, as near as they come: turned and moved, and made larger or
 * smaller unless it is known by how much.
 *
 * @param places of the picture that is laid, pixels
 * @param onto the same places in the picture below, in the same order, pixels
 * @param larger how much larger the picture above has to come out, where both scales are known
 * @returns nothing where they are fewer than two, or lie all on one
 */
export function laidOver(
  places: readonly Vec[],
  onto: readonly Vec[],
  larger?: number,
): LaidOver | undefined {
  if (places.length < 2 || places.length !== onto.length) return undefined
  const [from, to] = [middleOf(places), middleOf(onto)]
  let [along, across, spread] = [0, 0, 0]
  places.forEach((place, i) => {
    const [a, b] = [subtract(place, from), subtract(onto[i]!, to)]
    along += dot(a, b)
    across += cross(a, b)
    spread += dot(a, a)
  })
  const strength = Math.hypot(along, across)
  if (!(spread > 0 && strength > 0)) return undefined
  const size = larger === undefined ? 1 / spread : larger / strength
  const turn: Vec = [along * size, across * size]
  const laid = { turn, by: subtract(to, turned(turn, from)) }
  const off = places.reduce((sum, place, i) => sum + distance(laidAt(laid, place), onto[i]!) ** 2, 0)
  return { ...laid, off: Math.sqrt(off / places.length) }
}

/** Where a place of the picture above comes to lie, pixels of the picture below. */
export const laidAt = ({ turn, by }: Pick<LaidOver, 'turn' | 'by'>, place: Vec): Vec =>
  add(turned(turn, place), by)

const turned = ([c, s]: Vec, [x, y]: Vec): Vec => [c * x - s * y, s * x + c * y]
const middleOf = (places: readonly Vec[]): Vec => scale(places.reduce(add, [0, 0]), 1 / places.length)
