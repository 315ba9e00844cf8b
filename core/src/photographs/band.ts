import { pointAlong, stationsAlong } from '../geometry/walked'
import { add, distance, scale, subtract, turnRight, unit, type Vec } from '../geometry/vector'

/** A line walked at even steps, with the way out from it at each place. */
export interface Band {
  points: Vec[]
  outward: Vec[]
  closed: boolean
}

/**
 * A band about a line.
 *
 * @param line mm, in its order; outward lies to the right of the way it is walked
 * @param step between places, mm
 */
export function bandAbout(line: readonly Vec[], step: number, closed: boolean): Band {
  const whole = closed ? [...line, line[0]!] : line
  const stations = stationsAlong(whole)
  const long = stations[stations.length - 1]!
  const count = Math.max(8, Math.round(long / step))
  const points = Array.from({ length: closed ? count : count + 1 }, (_, i) =>
    pointAlong(whole, (long * i) / count, stations),
  )
  return { points, outward: outwardOf(points, closed), closed }
}

/** Square to the line at each place, over neighbours some steps away, so that a shaking line does not turn it about. */
export function outwardOf(points: readonly Vec[], closed: boolean): Vec[] {
  const n = points.length
  const at = (i: number) => (closed ? points[((i % n) + n) % n]! : points[Math.min(n - 1, Math.max(0, i))]!)
  return points.map((_, i) => turnRight(unit(subtract(at(i + 3), at(i - 3)))))
}

/** The place a way out from the line, mm. */
export const outFrom = ({ points, outward }: Band, i: number, out: number): Vec =>
  add(points[i]!, scale(outward[i]!, out))

/** The line itself moved out at each place. */
export const movedOut = (band: Band, outs: readonly number[]): Vec[] =>
  outs.map((out, i) => outFrom(band, i, out))

/** Figures along a line smoothed over a length of so many places (Gauss), round it where it is closed. */
export function smoothedAlong(values: readonly number[], places: number, closed: boolean): number[] {
  const reach = Math.ceil(places * 3)
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * places * places)),
  )
  const n = values.length
  return values.map((_, i) => {
    let [sum, weight] = [0, 0]
    for (let k = -reach; k <= reach; k++) {
      const at = closed ? (((i + k) % n) + n) % n : i + k
      if (at < 0 || at >= n) continue
      sum += values[at]! * weights[k + reach]!
      weight += weights[k + reach]!
    }
    return sum / weight
  })
}

/** A line smoothed in both coordinates. */
export function smoothLine(line: readonly Vec[], places: number, closed: boolean): Vec[] {
  const [xs, ys] = [0, 1].map((axis) =>
    smoothedAlong(
      line.map((point) => point[axis as 0 | 1]),
      places,
      closed,
    ),
  )
  return xs!.map((x, i): Vec => [x, ys![i]!])
}

/** Without places that lie upon the one before. */
export const apart = (line: readonly Vec[]): Vec[] =>
  line.filter((point, i) => i === 0 || distance(point, line[i - 1]!) > 1e-6)
