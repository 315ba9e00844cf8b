import type { PictureKind, StoredPicture, Vec } from '@crescent/core'
import { acrossEach, lengthOf, steepness, type DrawnLine } from '@crescent/core/photographs'

/** What can be drawn on a photograph: a line, a second one for the angle between, and a length that is known. */
export type Drawing = 'a' | 'b' | 's'
export type Marks = StoredPicture['marks']

export const DRAWINGS: readonly Drawing[] = ['a', 'b', 's']
const ENDS = ['1', '2'] as const

/** What a known length can be, mm. */
export const KNOWN = [10, 3_000] as const

/** What each drawing is called on a photograph of a kind. */
export function drawingName(drawing: Drawing, kind: PictureKind): string {
  if (drawing === 's') return 'A length I know'
  if (kind === 'tracks') return drawing === 'a' ? 'The way it goes' : 'The track'
  return drawing === 'a' ? 'A line' : 'A second line'
}

/** The end that is tapped next; nothing where both are there. */
export const nextEnd = (marks: Marks, drawing: Drawing): string | undefined =>
  ENDS.map((end) => `${drawing}${end}`).find((key) => !marks[key])

/** A line with both its ends. */
export function lineOf(marks: Marks, drawing: Drawing): DrawnLine | undefined {
  const [from, to] = ENDS.map((end): Vec | undefined => marks[`${drawing}${end}`])
  return from && to ? [from, to] : undefined
}

/** Without one of its drawings. */
export const withoutDrawing = (marks: Marks, drawing: Drawing): Marks =>
  Object.fromEntries(Object.entries(marks).filter(([key]) => key !== `${drawing}1` && key !== `${drawing}2`))

/** mm of a pixel by a known length, where it is drawn and can be; else what it was. */
export function scaleBy(marks: Marks, known: number | undefined, before: number | null): number | null {
  const line = lineOf(marks, 's')
  if (!line || known === undefined || !(known >= KNOWN[0] && known <= KNOWN[1])) return before
  const pixels = lengthOf(line, 1)
  return pixels > 0 ? known / pixels : before
}

/** What is read off the lines that were drawn, in degrees and, with a scale, mm. */
export interface ReadOff {
  drawing: 'a' | 'b' | 'between'
  degrees: number
  mm?: number
}

export function readOff(marks: Marks, mmPerPixel: number | null): ReadOff[] {
  const [a, b] = [lineOf(marks, 'a'), lineOf(marks, 'b')]
  const one = (drawing: 'a' | 'b', line: DrawnLine | undefined): ReadOff[] => {
    const degrees = line && steepness(line)
    if (degrees === undefined) return []
    return [{ drawing, degrees, ...(mmPerPixel !== null && { mm: lengthOf(line!, mmPerPixel) }) }]
  }
  const between = a && b && acrossEach(a, b)
  return [
    ...one('a', a),
    ...one('b', b),
    ...(between === undefined ? [] : [{ drawing: 'between' as const, degrees: between }]),
  ]
}
