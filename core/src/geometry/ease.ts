/** 0 to 1 with level ends, as steel is forged and horn grows: never in steps. 0 below 0, 1 above 1. */
export function ease(u: number): number {
  const v = u < 0 ? 0 : u > 1 ? 1 : u
  return v * v * (3 - 2 * v)
}
