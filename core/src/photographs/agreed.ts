import { add, dot, scale, subtract, type Vec } from '../geometry/vector'
import { nearestAlong, pointAlong, stationsAlong } from '../geometry/walked'
import { outwardOf, smoothedAlong } from './band'

/** Places over so many mm agree on where an edge runs between them. */
const NEIGHBOURS = 9
/** What lies further off their line than this is a stalk, a stone or dirt, mm. */
const DISAGREES = 0.8
/** A place counts half as much for its neighbours where it lies about so far off what they say, mm. */
const OUTLYING = 0.5
const ROUNDS = 5

/**
 * A closed edge as its neighbours agree on it: how far it runs beside what was guessed changes little from place to place,
 * and a place that is far off what those about it say is taken as they say it.
 *
 * @param guess closed, mm
 * @param loose places that are left as they are, and say nothing of others
 */
export function agreed(line: readonly Vec[], guess: readonly Vec[], loose: (place: Vec) => boolean): Vec[] {
  const ring = [...guess, guess[0]!]
  const stations = stationsAlong(ring)
  const out = outwardOf(line, true)
  const offs = line.map((point, i) =>
    dot(subtract(point, pointAlong(ring, nearestAlong(ring, point, stations).station, stations)), out[i]!),
  )
  const free = line.map(loose)
  const places = (NEIGHBOURS * line.length) / stationsAlong([...line, line[0]!])[line.length]!
  let weights = free.map((is): number => (is ? 0 : 1))
  let told = offs
  for (let round = 0; round < ROUNDS; round++) {
    const sum = smoothedAlong(
      offs.map((off, i) => off * weights[i]!),
      places,
      true,
    )
    const all = smoothedAlong(weights, places, true)
    told = offs.map((off, i) => (all[i]! > 0 ? sum[i]! / all[i]! : off))
    weights = offs.map((off, i) => (free[i] ? 0 : 1 / (1 + ((off - told[i]!) / OUTLYING) ** 2) ** 2))
  }
  return line.map((point, i) => {
    const by = told[i]! - offs[i]!
    return free[i] || Math.abs(by) < DISAGREES ? point : add(point, scale(out[i]!, by))
  })
}
