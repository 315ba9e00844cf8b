import type { LengthStyle } from '../units/length'
import { formatFigure } from '../units/figure'
import type { AskedFigure, Caution } from './caution'

/** The caution that asks whether a figure is right, its lengths written in the reader's unit. */
export function question(figure: AskedFigure, style?: LengthStyle): Caution {
  const { key, label, value, kind, usual, animal } = figure
  const write = (n: number) => formatFigure(n, kind, style)
  return {
    code: `question-${key}`,
    severity: 'caution',
    title: `Is the ${label.toLowerCase()} really ${write(value)}?`,
    text: `More than a third outside what is usual for a ${animal} (${write(usual[0])} to ${write(usual[1])}).`,
    action: 'Lay the rule on again, check the unit, or choose the kind of animal.',
    figure,
  }
}

/** A caution as a reader of this unit should see it. */
export const describeCaution = (caution: Caution, style: LengthStyle): Caution =>
  caution.figure ? question(caution.figure, style) : caution
