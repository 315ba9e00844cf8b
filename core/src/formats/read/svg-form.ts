import { MOST_POINTS, Unreadable } from './curves'

/** No program writes a transform of more, characters. */
const LONGEST_TRANSFORM = 500
/** Elements of a drawing of a foot or shoe, at the most. */
const MOST_ELEMENTS = 20_000
/** Numbers in one attribute: two for a point, and some for what bends between them. */
const MOST_NUMBERS = 6 * 20_000

const ATTRIBUTE = /\b(points|d|transform)\s*=\s*("([^"]*)"|'([^']*)')/g

/**
 * Looks whether an SVG keeps within what any drawing of a foot or shoe holds, before anything is made of it: what reads it
 * takes longer than its length says.
 *
 * @throws Unreadable where it does not
 */
export function checkSvgForm(text: string): void {
  let elements = 0
  for (let at = text.indexOf('<'); at >= 0; at = text.indexOf('<', at + 1))
    if (++elements > 2 * MOST_ELEMENTS)
      throw new Unreadable(
        `The file holds more than ${MOST_ELEMENTS} elements: leave only the outline in it.`,
      )
  let numbers = 0
  for (const [, name, , double, single] of text.matchAll(ATTRIBUTE)) {
    const value = double ?? single ?? ''
    if (name === 'transform') {
      if (value.length > LONGEST_TRANSFORM)
        throw new Unreadable('What turns and scales a line of the file is longer than any program writes it.')
      continue
    }
    const own = value.match(/[-+]?\.?\d[\d.eE]*/g)?.length ?? 0
    numbers += own
    if (own > MOST_NUMBERS || numbers > 6 * MOST_POINTS)
      throw new Unreadable(
        'A line of the file has more points than any outline: leave only the outline in it.',
      )
  }
}
