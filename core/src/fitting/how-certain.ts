// Whether points that were measured say that one more bend is needed, or only that a hand and a tape scatter.

/** From trials with made-up farriers whose points are off by 0 to 0.8 mm either way, over 7 to 130 points. */
const WANTED = {
  /** Near enough for the hand already: only what no noise explains is bent. */
  aimed: 100,
  /** Well within tolerance, and just within it. */
  near: 15,
  within: 9,
  /** Beyond tolerance, but no further than points that scatter look by themselves. */
  beyond: 12,
}

/** Up to this share of the tolerance a shape lies well within it. */
const NEAR = 0.72

/** So many times the tolerance no scatter of points explains: it is bent, however few they are. */
const GROSS = 1.45

/**
 * How much more than noise a bend must take away for it to be made.
 *
 * @param off how far off the shape is as yet, mm; `aim` and `tolerance` likewise
 * @returns the least `certainty`
 */
export function wantedCertainty(off: number, aim: number, tolerance: number): number {
  if (off <= aim) return WANTED.aimed
  if (off <= tolerance * NEAR) return WANTED.near
  if (off <= tolerance) return WANTED.within
  return off <= tolerance * GROSS ? WANTED.beyond : 0
}

/** Bends that are weighed together where the first of them by itself takes too little away. */
export const AHEAD = 3

/** Where points lie closer than so many to a shoe, what they are off goes over from one to the next: they count as these. */
const MOST_READINGS = 64

/**
 * By how many times a bend takes more away than one that follows noise would (the F of regression; a turn, two shifts, and
 * place and angle of each bend are what was fitted).
 *
 * @param before sum of squares left before these bends, and `after` with them
 * @param more how many these bends are, of `bends` in all
 * @param readings points that were measured
 */
export function certainty(
  before: number,
  after: number,
  more: number,
  bends: number,
  readings: number,
): number {
  const free = Math.max(1, Math.min(MOST_READINGS, readings) - 3 - 2 * bends)
  return (before - after) / more / (Math.max(after, 1e-9) / free)
}
