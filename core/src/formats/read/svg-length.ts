/** Pixels of CSS in each unit of length (CSS Values 3); `em` and `ex` as of the usual letters. */
const PIXELS: Readonly<Record<string, number>> = {
  ...{
    '': 1,
    px: 1,
    mm: 96 / 25.4,
    cm: 960 / 25.4,
    q: 24 / 25.4,
    in: 96,
    pt: 96 / 72,
    pc: 16,
    em: 16,
    ex: 8,
  },
}

const LENGTH = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d{1,2})?)\s*([a-z%]*)\s*$/i

/**
 * A length of an SVG in its own pixels.
 *
 * @param whole what a percentage is of
 * @returns undefined where it is none
 */
export function svgLength(text: string | null, whole: number): number | undefined {
  const found = LENGTH.exec(text ?? '')
  if (!found) return undefined
  const [number, unit] = [Number(found[1]), found[2]!.toLowerCase()]
  if (unit === '%') return (number / 100) * whole
  const pixels = PIXELS[unit]
  return pixels === undefined ? undefined : number * pixels
}
