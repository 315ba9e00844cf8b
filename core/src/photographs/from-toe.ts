import { nearestAlong, pointAlong, stationsAlong } from '../geometry/walked'
import { add, distance, dot, scale, subtract, unit, type Vec } from '../geometry/vector'

/**
 * How far behind the toe a place of the sole lies, along the axis from the middle between the heels to the toe, mm.
 *
 * @param outline from heel to heel round the toe, mm
 * @param toe where the toe was tapped; the outline's nearest place to it counts
 * @returns nothing where toe and heels give no axis
 */
export function fromToe(outline: readonly Vec[], toe: Vec, place: Vec): number | undefined {
  const [lateral, medial] = [outline[0], outline[outline.length - 1]]
  if (!lateral || !medial) return undefined
  const stations = stationsAlong(outline)
  const front = pointAlong(outline, nearestAlong(outline, toe, stations).station, stations)
  const middle = scale(add(lateral, medial), 0.5)
  if (!(distance(front, middle) > 0)) return undefined
  return dot(subtract(front, place), unit(subtract(front, middle)))
}
