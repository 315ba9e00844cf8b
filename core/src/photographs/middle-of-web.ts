import { lengthAlong, pointAlong, stationsAlong } from '../geometry/walked'
import { mix, type Vec } from '../geometry/vector'

/**
 * The middle of a shoe's web from its outer to its inner heel, as bending goes by it: half way between both rims at the same
 * share of their lengths.
 *
 * @param outer from the outer to the inner heel, mm
 * @param inner likewise
 */
export function middleOfWeb(outer: readonly Vec[], inner: readonly Vec[], count = 41): Vec[] {
  const along = [outer, inner].map((line) => ({
    line,
    stations: stationsAlong(line),
    long: lengthAlong(line),
  }))
  return Array.from({ length: count }, (_, i): Vec => {
    const [a, b] = along.map(({ line, stations, long }) =>
      pointAlong(line, (long * i) / (count - 1), stations),
    )
    return mix(a!, b!, 0.5)
  })
}

/** A line from the outer to the inner heel as it lies on the foot, seen from below: turned over where it runs the other way. */
export function asOnFoot(line: readonly Vec[]): Vec[] {
  const turns = line.reduce((sum, [x, y], i) => {
    const [u, v] = line[(i + 1) % line.length]!
    return sum + x * v - u * y
  }, 0)
  return turns >= 0 ? [...line] : line.map(([x, y]): Vec => [-x, y])
}
