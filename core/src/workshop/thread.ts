import { inches } from '../units/length'

/** A 60-degree inch thread: major diameter in mm and threads to the inch. */
export interface Thread {
  name: string
  diameter: number
  perInch: number
  /** The usual drill for it, mm (tap drill tables: 13/64 for 1/4-20, 7/32 for 1/4-28). */
  drill: number
}

/** Threads a shoe is tapped with. */
export const THREADS = [
  { name: '1/4-20', diameter: 6.35, perInch: 20, drill: inches(13 / 64) },
  { name: '1/4-28', diameter: 6.35, perInch: 28, drill: inches(7 / 32) },
] as const satisfies readonly Thread[]

export const THREAD_NAMES = [
  '1/4-20',
  '1/4-28',
] as const satisfies readonly (typeof THREADS)[number]['name'][]

/** A thread by its name. */
export const threadNamed = (name: unknown): Thread =>
  THREADS.find((thread) => thread.name === name) ?? THREADS[0]

/** More than this and the tap binds and breaks (common practice: 85 % is as full as a hand tap cuts). */
export const MOST_ENGAGEMENT = 85

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
