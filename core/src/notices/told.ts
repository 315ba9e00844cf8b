import { formatLength, MM_PER_INCH, type LengthStyle } from '../units/length'
import Fraction from 'fraction.js'

/**
 * How finely a length in a sentence is written: as the reader's rule shows it; `fine`, for thicknesses and what is
 * smaller than a rule's division; `drill`, by the drills of the trade.
 */
export const FINENESS = ['rule', 'fine', 'drill'] as const
export type Fineness = (typeof FINENESS)[number]

/** A length inside a sentence, mm. */
export interface Quantity {
  readonly length: number
  readonly as?: Fineness
}

/** A sentence with its lengths left open: whoever reads it has them written in his own unit. */
export type Told = string | readonly (string | Quantity)[]

/** A length for a sentence, mm. */
export const length = (mm: number, as?: Fineness): Quantity => (as ? { length: mm, as } : { length: mm })

/** Drills and thin stuff come in sixty-fourths of an inch. */
const FINEST = 64

/** A sentence from a template: told`It lies ${length(8)} ahead.` A sentence within it is taken in piece by piece. */
export function told(pieces: TemplateStringsArray, ...values: readonly (number | Quantity | Told)[]): Told {
  const parts: (string | Quantity)[] = []
  const add = (part: string | Quantity) => {
    const before = parts[parts.length - 1]
    if (typeof part === 'string' && typeof before === 'string') parts[parts.length - 1] = before + part
    else if (part !== '') parts.push(part)
  }
  pieces.forEach((piece, i) => {
    add(piece)
    const value = values[i]
    if (value === undefined) return
    if (typeof value === 'number') add(String(value))
    else if (typeof value === 'string') add(value)
    else if ('length' in value && !Array.isArray(value)) add(value)
    else (value as readonly (string | Quantity)[]).forEach(add)
  })
  return parts.length === 1 && typeof parts[0] === 'string' ? parts[0] : parts
}

/** Sentences one after the other, with something between them. */
export const joined = (all: readonly Told[], between: string): Told =>
  all.reduce<Told>((sum, one, i) => (i === 0 ? one : told`${sum}${between}${one}`), '')

/** A sentence as a reader of this unit should see it. */
export const writeTold = (sentence: Told, style: LengthStyle): string =>
  typeof sentence === 'string'
    ? sentence
    : sentence.map((part) => (typeof part === 'string' ? part : writeQuantity(part, style))).join('')

/** A length as it is written in a sentence: something small is never written as nothing. */
export function writeQuantity({ length: mm, as = 'rule' }: Quantity, style: LengthStyle): string {
  if (as === 'rule') {
    const text = formatLength(mm, style)
    return /^-?0\D*$/.test(text) && isSeen(mm) ? writeQuantity({ length: mm, as: 'fine' }, style) : text
  }
  if (style.unit === 'mm') {
    if (as === 'drill') return `${Number(mm.toPrecision(3))} mm`
    const tenths = Number(mm.toFixed(1))
    return tenths === 0 && isSeen(mm) ? 'under 0.1 mm' : `${tenths + 0} mm`
  }
  const parts = Math.round((mm / MM_PER_INCH) * FINEST)
  return parts === 0 && isSeen(mm)
    ? `under 1/${FINEST}"`
    : `${new Fraction(parts + 0, FINEST).toFraction(true)}"`
}

/** More than what is left over by reckoning. */
const isSeen = (mm: number): boolean => Math.abs(mm) > 1e-6
