import type { Curve } from './curve'
import { segmentAt } from './segment-at'
import { stationsAlong } from './walked'
import { type Vec } from './vector'

/** A cubic spline in one coordinate: its values and second derivatives at its knots. */
interface Coordinate {
  values: readonly number[]
  bends: readonly number[]
}

/**
 * The smooth curve through points, with continuous curvature: cubic between each two, walked by the lengths of the chords,
 * its curvature running out evenly at both ends.
 *
 * @param knots three or more, no two neighbours in one place, mm
 */
export function splineThrough(knots: readonly Vec[]): Curve {
  const stations = stationsAlong(knots)
  const whole = stations[stations.length - 1]!
  const x = coordinate(
    stations,
    knots.map((knot) => knot[0]),
  )
  const y = coordinate(
    stations,
    knots.map((knot) => knot[1]),
  )
  const both =
    (one: (coordinate: Coordinate, i: number, step: number, u: number) => number) =>
    (t: number): Vec => {
      const at = Math.min(1, Math.max(0, t)) * whole
      const i = segmentAt(stations, at)
      const step = stations[i + 1]! - stations[i]!
      const u = (at - stations[i]!) / step
      return [one(x, i, step, u), one(y, i, step, u)]
    }
  return {
    breaks: stations.map((station) => station / whole),
    point: both(({ values, bends }, i, step, u) => {
      const v = 1 - u
      const bow = (step * step) / 6
      return (
        v * values[i]! +
        u * values[i + 1]! +
        bow * ((v * v * v - v) * bends[i]! + (u * u * u - u) * bends[i + 1]!)
      )
    }),
    derivative: both(({ values, bends }, i, step, u) => {
      const v = 1 - u
      const rise = (values[i + 1]! - values[i]!) / step
      return whole * (rise + (step / 6) * ((1 - 3 * v * v) * bends[i]! + (3 * u * u - 1) * bends[i + 1]!))
    }),
    second: both(({ bends }, i, _step, u) => whole * whole * ((1 - u) * bends[i]! + u * bends[i + 1]!)),
  }
}

/** Second derivatives at the knots, so that slopes meet: three bands, solved from the front to the rear and back. */
function coordinate(stations: readonly number[], values: readonly number[]): Coordinate {
  const last = values.length - 1
  const step = (i: number) => stations[i + 1]! - stations[i]!
  const share = new Array<number>(last).fill(0)
  const bends = new Array<number>(last + 1).fill(0)
  for (let i = 1; i < last; i++) {
    const [before, after] = [step(i - 1), step(i)]
    // The first and the last bend are as their neighbours': they come into the middle of the three bands.
    const middle = 2 * (before + after) + (i === 1 ? before : 0) + (i === last - 1 ? after : 0)
    const right = 6 * ((values[i + 1]! - values[i]!) / after - (values[i]! - values[i - 1]!) / before)
    const from = i === 1 ? 0 : before
    const pivot = middle - from * share[i - 1]!
    share[i] = after / pivot
    bends[i] = (right - from * bends[i - 1]!) / pivot
  }
  for (let i = last - 2; i >= 1; i--) bends[i]! -= share[i]! * bends[i + 1]!
  bends[0] = bends[1]!
  bends[last] = bends[last - 1]!
  return { values, bends }
}
