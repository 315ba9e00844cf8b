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

/** A length that was read, or why it was not; where it is probably a slip, what was probably meant. */
export type ParsedLength =
  { ok: true; mm: number } | { ok: false; message: string; meant?: readonly string[] }

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
 * @returns millimetres, or a message that says what was not understood, with what was probably meant
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
  let taken = negative ? '-' : ''
  for (let first = true; rest !== ''; first = false) {
    const match = TERM.exec(rest)
    if (!match) return refuse(unreadable(shown))
    const term = termOf(match)
    if (term.bottom === 0) return refuse(`“${shown}” divides by nothing`)
    const meant = probablyMeant(term)
    if (meant) {
      const named = /^[a-z]/i.test(match[7] ?? '') ? ` ${match[7]}` : (match[7] ?? '')
      const behind = named + rest.slice(match[0].length)
      return ask(
        shown,
        term,
        meant.map((text) => taken + text + behind),
      )
    }
    const perUnit = MM_PER_UNIT[match[7]?.toLowerCase() ?? unit]!
    // A second part is only meant after a larger unit that was named: 4' 2", never 4 2.
    if (!first && (perUnit >= previous || match[7] === undefined)) return refuse(unreadable(shown))
    total += valueOf(term) * perUnit
    previous = match[7] === undefined ? 0 : perUnit
    taken += match[0]
    rest = rest.slice(match[0].length)
  }
  return { ok: true, mm: negative ? -total : total }
}

/** A number as it was written: `4.5`, `7/8` or `4 7/8`; the digits of a fraction as they stand. */
interface Term {
  whole: number
  top?: string
  bottom?: number
}

function termOf(match: RegExpExecArray): Term {
  const [whole, top, bottom, onlyTop, onlyBottom, decimal] = match.slice(1, 7) as (string | undefined)[]
  if (whole !== undefined) return { whole: Number(whole), top: top!, bottom: Number(bottom) }
  if (onlyTop !== undefined) return { whole: 0, top: onlyTop, bottom: Number(onlyBottom) }
  return { whole: Number(decimal) }
}

const valueOf = ({ whole, top = '0', bottom = 1 }: Term): number => whole + Number(top) / bottom

/** What rules are divided into: halves down to sixty-fourths. */
const DIVISIONS: readonly number[] = [2, 4, 8, 16, 32, 64]

/**
 * What a fraction that nobody writes was probably meant to be: `47/8` lacks a space, `3/7` names parts that no rule
 * has. Nothing is said of one that is plain.
 */
function probablyMeant({ whole, top, bottom }: Term): string[] | undefined {
  if (top === undefined || bottom === undefined) return undefined
  const known = DIVISIONS.includes(bottom)
  const proper = (n: number, d: number) => n > 0 && n < d
  if (known && proper(Number(top), bottom)) return undefined
  const before = whole > 0 ? `${whole} ` : ''
  // A forgotten space: the first digits are the whole inches.
  const split = [...top]
    .map((_, i) => [top.slice(0, i), top.slice(i)] as const)
    .filter(
      ([inches, rest]) =>
        inches !== '' && !rest.startsWith('0') && whole === 0 && proper(Number(rest), bottom),
    )
    .map(([inches, rest]) => `${Number(inches)} ${rest}/${bottom}`)
  if (known) return split.length > 0 ? split.reverse() : mixed(whole, Number(top), bottom)
  const nearest = [...DIVISIONS].sort((a, b) => Math.abs(a - bottom) - Math.abs(b - bottom)).slice(0, 2)
  return nearest.filter((d) => proper(Number(top), d)).map((d) => `${before}${top}/${d}`)
}

/** An improper fraction as it is written out: 9/8 is 1 1/8, 4 8/8 is 5. */
function mixed(whole: number, top: number, bottom: number): string[] {
  if (top === 0) return [String(whole)]
  const all = whole + Math.floor(top / bottom)
  const left = top % bottom
  return [left === 0 ? String(all) : `${all} ${new Fraction(left, bottom).toFraction()}`]
}

function ask(shown: string, { bottom }: Term, meant: readonly string[]): ParsedLength {
  const texts = meant.map((text) => text.trim())
  const why = DIVISIONS.includes(bottom!) ? '' : `no rule is divided into ${bottom} parts; `
  const question = texts.length > 0 ? `did you mean ${texts.join(' or ')}?` : 'write it as a decimal'
  return { ok: false, message: `“${shown}”: ${why}${question}`, meant: texts }
}

/** The finest length that the style can show: 1/16 or 1/32 in, or 0.5 mm. In mm. */
export const lengthStep = (style: LengthStyle): number =>
  style.unit === 'mm' ? 0.5 : MM_PER_INCH / style.denominator

/** Rounds millimetres to what the style can show. */
export function roundLength(mm: number, style: LengthStyle): number {
  const step = lengthStep(style)
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

/** What is written of a length is not all of it: more than a fiftieth of a millimetre is rounded away. */
export const isRounded = (mm: number, style: LengthStyle): boolean =>
  Math.abs(mm - roundLength(mm, style)) > 0.02

/** A length with all its digits, for where it was given finer than a rule shows: `4.3"`, `109.22 mm`. */
export const exactLength = (mm: number, { unit }: LengthStyle): string =>
  unit === 'mm' ? `${Number(mm.toFixed(2))} mm` : `${Number((mm / MM_PER_INCH).toFixed(3))}"`

/** Nothing finer is read off a rule. */
const FINEST = 64

/** A length between the marks of a rule: as it was given where that is a short decimal, else to the finest mark there is. */
export function betweenMarks(mm: number, style: LengthStyle): string {
  const inch = mm / MM_PER_INCH
  if (style.unit === 'mm' || Math.abs(inch - Number(inch.toFixed(2))) < 1e-4) return exactLength(mm, style)
  return `about ${new Fraction(Math.round(inch * FINEST), FINEST).toFraction(true)}"`
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

const trimZero = (value: number): string => (Object.is(value, -0) ? '0' : String(Number(value.toFixed(1))))
