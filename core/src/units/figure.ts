import { formatAngle } from './angle'
import { formatLength, lengthStep, type LengthStyle } from './length'
import { formatWeight } from './weight'

/** What a number means: a length in mm, an angle in degrees, or a plain number. */
export type FigureKind = 'length' | 'angle' | 'number'

/** What a figure may be that is only written: grams beside the others. */
export type WrittenKind = FigureKind | 'weight'

/** Millimetres, for messages that leave the core; a screen writes them again in its own unit. */
export const PLAIN: LengthStyle = { unit: 'mm', denominator: 16 }

/** Writes a figure of any kind. */
export function formatFigure(value: number, kind: WrittenKind, style: LengthStyle = PLAIN): string {
  if (kind === 'length') return formatLength(value, style)
  if (kind === 'angle') return formatAngle(value)
  if (kind === 'weight') return formatWeight(value, style.unit)
  return String(Number(value.toFixed(2)))
}

/** By how much a key moves a figure: the finest that is read from a rule, half a degree, a twentieth. */
export function figureStep(kind: FigureKind, style: LengthStyle = PLAIN): number {
  if (kind === 'length') return lengthStep(style)
  return kind === 'angle' ? 0.5 : 0.05
}
