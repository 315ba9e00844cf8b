import { HALVES, type Half } from '../terms/half'
import { bendColumn, product, sampled, wanting, withoutRigid, type Target } from './matched'
import { branchLength, type Centreline } from './centreline'

/** Where a bend may be made. */
export interface Place {
  branch: Half
  /** Along the centreline from the middle of the toe, mm. */
  fromToe: number
}

/** A set of places, and what is left off when each is bent as it is best; the sum of squares. */
export interface PlaceSet {
  places: number[]
  left: number
}

/** Places are looked at this far apart, mm; the one that is taken is then moved between its neighbours. */
const APART = 4

/** Nearer to the middle of the toe or to the end of a branch nobody bends, mm. */
const ENDS = { toe: 4, heel: 22 }

/** Two bends nearer than this are one, mm. */
const ONE_PLACE = 14

/** Sets that go on to the next bend. */
const KEPT = 24

/** All places a bend may be made, the lateral branch first, from the toe back. */
export function placesOn(line: Centreline, branches: readonly Half[] = HALVES): Place[] {
  return branches.flatMap((branch) => {
    const last = branchLength(line, branch) - ENDS.heel
    const count = Math.max(0, Math.floor((last - ENDS.toe) / APART))
    return Array.from({ length: count + 1 }, (_, i): Place => ({ branch, fromToe: ENDS.toe + i * APART }))
  })
}

/** The products of all places with each other and with what is wanting: any set of them is weighed by these alone. */
export interface Weighing {
  places: Place[]
  /** Of each with each. */
  gram: Float64Array[]
  /** Of each with what is wanting. */
  gain: Float64Array
  /** Of what is wanting with itself. */
  all: number
}

/** Weighs all places of a shape that was laid on its target; what a turn or a shift could do is taken out beforehand. */
export function weighing(target: Target, laid: Centreline, branches: readonly Half[] = HALVES): Weighing {
  const even = sampled(laid)
  const places = placesOn(laid, branches)
  const { columns, wanted } = withoutRigid(
    target,
    even,
    places.map(({ branch, fromToe }) => bendColumn(target, even, branch, fromToe)),
    wanting(target, even),
  )
  return {
    places,
    gram: columns.map((one) => Float64Array.from(columns, (other) => product(one, other))),
    gain: Float64Array.from(columns, (one) => product(one, wanted)),
    all: product(wanted, wanted),
  }
}

/** What is left off with a set of places, each bent as it is best. By Cholesky: the sets are small and many. */
export function leftOff({ gram, gain, all }: Weighing, set: readonly number[]): number {
  const n = set.length
  const factor: number[][] = []
  let left = all
  for (let i = 0; i < n; i++) {
    const row: number[] = []
    factor.push(row)
    let solved = gain[set[i]!]!
    for (let j = 0; j <= i; j++) {
      let value = gram[set[i]!]![set[j]!]!
      for (let k = 0; k < j; k++) value -= row[k]! * factor[j]![k]!
      if (j < i) {
        row.push(value / factor[j]![j]!)
        solved -= row[j]! * factor[j]![n]!
      } else {
        if (value < 1e-9) return Infinity
        const root = Math.sqrt(value)
        row.push(root)
        solved /= root
        left -= solved * solved
      }
    }
    row[n] = solved
  }
  return left
}

const apart = (places: readonly Place[], a: number, b: number): boolean =>
  places[a]!.branch !== places[b]!.branch || Math.abs(places[a]!.fromToe - places[b]!.fromToe) >= ONE_PLACE

/** The sets of one place more that leave least off: of one and two places every set is looked at, beyond that the best go on. */
export function withOneMore(weights: Weighing, before: readonly PlaceSet[]): PlaceSet[] {
  const { places } = weights
  const found = new Map<string, PlaceSet>()
  for (const { places: set } of before)
    for (let next = 0; next < places.length; next++) {
      if (!set.every((one) => apart(places, one, next))) continue
      const more = [...set, next].sort((a, b) => a - b)
      const key = more.join()
      if (!found.has(key)) found.set(key, { places: more, left: leftOff(weights, more) })
    }
  return [...found.values()].sort((a, b) => a.left - b.left)
}

/** Which of them go on: all while they are few enough to be looked through. */
export const goOn = (sets: readonly PlaceSet[], bends: number): readonly PlaceSet[] =>
  bends < 2 ? sets : sets.slice(0, KEPT)
