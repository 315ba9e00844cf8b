/** Heel that stands over by less than this is rasped, not cut, mm (common practice: an eighth of an inch). */
export const RASPED = 3.2

/** What is cut off a heel that reaches so far beyond where it should end, mm. */
export const toCut = (left: number): number => (left > RASPED ? left : 0)
