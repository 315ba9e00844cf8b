import { distance, type Vec } from '../../geometry/vector'

/** A line that was read from a file. */
export interface ReadCurve {
  points: Vec[]
  closed: boolean
  /** As the file names it; empty where it names none. */
  layer: string
}

/** What a file holds: curves in mm where its unit is known, else in its own units. */
export interface ReadOutlines {
  curves: ReadCurve[]
  unit: 'mm' | 'in' | 'cm' | 'm' | 'ft' | null
  /** What only who drew it can tell. */
  questions: string[]
}

/** A file that cannot be read, with a sentence that says why. */
export class Unreadable extends Error {}

/** mm in each unit a file may name. */
export const MM: Readonly<Record<NonNullable<ReadOutlines['unit']>, number>> = {
  ...{ mm: 1, in: 25.4, cm: 10, m: 1000, ft: 304.8 },
}

/** More than this no drawing of a foot or shoe holds. */
export const MOST_POINTS = 100_000
export const MOST_CURVES = 5_000
/** Nothing of it lies further away, mm. */
const FARTHEST = 100_000

/** Ends that lie so near to each other are one place, mm. */
export const JOINED = 0.05

/** A circle or arc drawn by chords strays by no more than this, mm in the file's units. */
export const CHORD = 0.002

/** Counts points as they come, so that a small file cannot become an endless drawing. */
export class Budget {
  private points = 0
  private curves = 0
  /** @throws Unreadable where there are too many, or one lies nowhere */
  take(points: readonly Vec[]): void {
    this.points += points.length
    if (++this.curves > MOST_CURVES || this.points > MOST_POINTS)
      throw new Unreadable(
        `The file holds too much: at the most ${MOST_CURVES} lines of ${MOST_POINTS} points together. Leave only the outline in it.`,
      )
    for (const [x, y] of points)
      if (!(Math.abs(x) < FARTHEST && Math.abs(y) < FARTHEST))
        throw new Unreadable(
          'A point of the file lies nowhere: its place is no number, or further than 100 m away.',
        )
  }
}

/** Points without those that repeat the one before; a closed line does not repeat its first at the end. */
export function tidied({ points, closed, layer }: ReadCurve): ReadCurve | undefined {
  const kept: Vec[] = []
  for (const point of points)
    if (kept.length === 0 || distance(point, kept[kept.length - 1]!) > 1e-6) kept.push(point)
  const meets = kept.length > 2 && distance(kept[0]!, kept[kept.length - 1]!) < JOINED
  if (meets) kept.pop()
  return kept.length > 1 ? { points: kept, closed: closed || meets, layer } : undefined
}
