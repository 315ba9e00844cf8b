import Fraction from 'fraction.js'

/** Millimetres in an inch, exactly (international yard and pound agreement, 1959). */
export const MM_PER_INCH = 25.4

/** The unit a farrier has chosen to read and type in. */
export type LengthUnit = 'in' | 'mm'

/** How lengths are shown: the unit, and for inches the finest fraction. */
export interface LengthStyle {
  unit: LengthUnit
  /** Finest fraction of an inch: 16 or 32. Millimetres are always shown to 0.5. */
  denominator: 16 | 32
}

export type ParsedLength = { ok: true; mm: number } | { ok: false; message: string }

/** Inches to millimetres. */
export const inches = (value: number): number => value * MM_PER_INCH

const MM_PER_UNIT: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  "'": 12 * MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
}

/** `7/8`, `4 7/8`, `4-7/8`, `4`, `4.875`, `.5`; a sign is handled by the caller. */
const NUMBER = String.raw`(?:(\d+)\s*[\s-]\s*(\d+)\s*\/\s*(\d+)|(\d+)\s*\/\s*(\d+)|(\d+(?:\.\d*)?|\.\d+))`
const UNIT = String.raw`(mm|cm|m|inches|inch|in|ft|"|')?`
const TERM = new RegExp(String.raw`^\s*${NUMBER}\s*${UNIT}\.?\s*`, 'i')

/**
 * Reads a length as it is written in a workshop: `4 7/8`, `4-7/8"`, `4.875 in`, `4' 2"`, `124 mm`, `12.4 cm`.
 * A bare number takes the current unit. A decimal comma counts as a point.
 *
 * @param text what was typed
 * @param unit the unit of a bare number
 * @returns millimetres, or a message that says what was not understood
 */
export function parseLength(text: string, unit: LengthUnit): ParsedLength {
  const shown = text.trim()
  let rest = straighten(shown)
  if (rest === '') return refuse('Type a length')
  const negative = rest.startsWith('-')
  // Measuring tools that type write the plus too.
  if (negative || rest.startsWith('+')) rest = rest.slice(1).trim()

  let total = 0
  let previous = Infinity
  for (let first = true; rest !== ''; first = false) {
    const match = TERM.exec(rest)
    if (!match) return refuse(unreadable(shown))
    const value = numberIn(match)
    if (!Number.isFinite(value)) return refuse(`“${shown}” divides by nothing`)
    const perUnit = MM_PER_UNIT[match[7]?.toLowerCase() ?? unit]!
    // A second part is only meant after a larger unit that was named: 4' 2", never 4 2.
    if (!first && (perUnit >= previous || match[7] === undefined)) return refuse(unreadable(shown))
    total += value * perUnit
    previous = match[7] === undefined ? 0 : perUnit
    rest = rest.slice(match[0].length)
  }
  return { ok: true, mm: negative ? -total : total }
}

/** Rounds millimetres to what the style can show: 1/16 or 1/32 in, or 0.5 mm. */
export function roundLength(mm: number, style: LengthStyle): number {
  const step = style.unit === 'mm' ? 0.5 : MM_PER_INCH / style.denominator
  return Math.round(mm / step) * step
}

/**
 * Writes a length as it is read in the workshop: `11 3/4"` or `298.5 mm`.
 * What it writes parses back to the same rounded length, so editing without a change never drifts.
 *
 * @param mm millimetres
 */
export function formatLength(mm: number, style: LengthStyle, withUnit = true): string {
  if (!Number.isFinite(mm)) return '-'
  if (style.unit === 'mm') return trimZero(roundLength(mm, style)) + (withUnit ? ' mm' : '')
  const parts = Math.round((mm / MM_PER_INCH) * style.denominator)
  return new Fraction(parts, style.denominator).toFraction(true) + (withUnit ? '"' : '')
}

/** A difference, always with its sign: `+1/16"`, `-2.5 mm`, `0`. */
export function formatDifference(mm: number, style: LengthStyle): string {
  const rounded = roundLength(mm, style)
  if (rounded === 0) return '0'
  return (rounded > 0 ? '+' : '-') + formatLength(Math.abs(mm), style)
}

const refuse = (message: string): ParsedLength => ({ ok: false, message })

const unreadable = (text: string): string =>
  `“${text}” is not a length: write 4 7/8, 4.875 in, 124 mm or 12.4 cm`

/** Typographic quotes, primes, dashes, vulgar fractions and decimal commas become plain ones. */
function straighten(text: string): string {
  return text
    .replace(/[″“”]|''/g, '"')
    .replace(/[′’‘]/g, "'")
    .replace(/[\u2012-\u2015\u2212]/g, '-')
    .replace(/[\u00bc-\u00be\u2150-\u215e]/g, (sign) => ' ' + sign.normalize('NFKD'))
    .replace(/\u2044/g, '/')
    .replace(/(\d),(\d)/g, '$1.$2')
    .trim()
}

function numberIn(match: RegExpExecArray): number {
  const [whole, top, bottom, onlyTop, onlyBottom, decimal] = match
    .slice(1, 7)
    .map((part: string | undefined) => (part === undefined ? undefined : Number(part)))
  if (whole !== undefined) return whole + top! / bottom!
  if (onlyTop !== undefined) return onlyTop / onlyBottom!
  return decimal!
}

const trimZero = (value: number): string => (Object.is(value, -0) ? '0' : String(Number(value.toFixed(1))))
