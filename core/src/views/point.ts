/** A point in space, mm: x lateral, y toward the toe, z up from the ground. */
export type Point = readonly [x: number, y: number, z: number]
