/** A 60-degree inch thread: major diameter in mm and threads to the inch. */
export interface Thread {
  name: string
  diameter: number
  perInch: number
}

/** Threads a shoe is tapped with. */
export const THREADS: readonly Thread[] = [
  { name: '1/4-20', diameter: 6.35, perInch: 20 },
  { name: '1/4-28', diameter: 6.35, perInch: 28 },
]

/** Less than this and a thread strips: warn (common practice for tapped holes in plates). */
export const LEAST_ENGAGEMENT = 55

/**
 * How much of a full thread a drilled hole leaves, per cent: (D - d) / (1.299 P) x 100 for 60-degree inch threads
 * (Machinery's Handbook, tap drill tables).
 *
 * @param drill diameter of the hole, mm
 */
export const engagement = ({ diameter, perInch }: Thread, drill: number): number =>
  ((diameter - drill) / (1.299 * (25.4 / perInch))) * 100
