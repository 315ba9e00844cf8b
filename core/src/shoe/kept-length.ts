import { nearestStation, placeAt, trackLength } from '../geometry/track'
import { byHalf, type Half } from '../terms/half'
import { stepsOf } from './branch-run'
import type { Lay } from './lay'
import type { Rims } from './rims'

/** How near the length of each branch is kept, mm: beyond it the rims of a tight branch are rounding (up to 4e-8 seen). */
const NEAR = 1e-7

/** A branch that ends before the buttress by more than this share of the foot's length is no branch. */
const SHORTEST = 0.3

/** Looked for no further than so, as a share of the foot's length. */
const LOOKED = [-0.7, 1.3] as const

/** More looks than this a length has never needed. */
const MOST_LOOKS = 24

/** After so many looks a length is known well enough to know its steps. */
const SETTLED = 2

/** Each branch along the centreline, from the middle of the toe to its end, mm. */
export function branchLengths({ centreline, outer, toe }: Rims): Record<Half, number> {
  const middle = nearestStation(centreline, placeAt(outer, toe).point)
  return { lateral: middle, medial: trackLength(centreline) - middle }
}

/**
 * A lay whose branches end where a shoe of a given length ends: bent to another foot, its centreline stays as long.
 * Each branch is looked for by secants; it grows with its run behind the buttress nearly one for one.
 *
 * @param lengths of the branches along the centreline, mm
 * @param rimsOf lays the rims, with whatever is made of the shoe
 * @returns the lay; undefined where a branch cannot be found so short or so long on this foot
 */
export function keptLength(
  lay: Lay,
  lengths: Readonly<Record<Half, number>>,
  rimsOf: (lay: Lay) => Rims,
  footLength: number,
): Lay | undefined {
  const search = byHalf((half) => secant(lengths[half], lay.heelLength[half], footLength))
  let steps: Record<Half, number> | undefined
  for (let i = 0; i < MOST_LOOKS; i++) {
    const heelLength = byHalf((half) => search[half].at())
    // Near its end the search goes in steps that stay: a branch walked in one step more would jump in length.
    if (i === SETTLED) steps = byHalf((half) => stepsOf(heelLength[half]))
    const laid = { ...lay, heelLength, ...(steps && { steps }) }
    const long = branchLengths(rimsOf(laid))
    const off = Math.max(search.lateral.seen(long.lateral), search.medial.seen(long.medial))
    if (off < NEAR || i === MOST_LOOKS - 1)
      return Object.values(heelLength).every((run) => run > -footLength * SHORTEST && run < footLength)
        ? laid
        : undefined
  }
  return undefined
}

/** The next place to look at from the last two, and what was seen there. */
function secant(wanted: number, start: number, footLength: number) {
  let at = start
  let before: { at: number; off: number } | undefined
  return {
    at: () => at,
    /** How far off it was, mm. */
    seen(value: number): number {
      const off = value - wanted
      const slope = before && Math.abs(at - before.at) > 1e-12 ? (off - before.off) / (at - before.at) : 1
      before = { at, off }
      // A branch never shrinks by being carried on: a slope beyond reason is a rounding.
      if (Math.abs(off) >= NEAR) at -= off / Math.min(2, Math.max(0.3, slope))
      at = Math.min(footLength * LOOKED[1], Math.max(footLength * LOOKED[0], at))
      return Math.abs(off)
    },
  }
}
