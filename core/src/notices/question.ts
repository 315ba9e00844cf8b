import { formatFigure, type FigureKind } from '../units/figure'
import { length, told, type Told } from './told'
import type { Caution } from './caution'

/** A figure that is possible but hard to believe, and what is usual. */
export interface AskedFigure {
  key: string
  label: string
  value: number
  kind: FigureKind
  usual: readonly [number, number]
  animal: string
}

/** The caution that asks whether a figure is right. */
export function question({ key, label, value, kind, usual, animal }: AskedFigure): Caution {
  const write = (n: number): Told => (kind === 'length' ? told`${length(n)}` : formatFigure(n, kind))
  return {
    code: `question-${key}`,
    severity: 'caution',
    title: told`Is the ${label.toLowerCase()} really ${write(value)}?`,
    text: told`More than a third outside what is usual for a ${animal} (${write(usual[0])} to ${write(usual[1])}).`,
    action: 'Lay the rule on again, check the unit, or choose the kind of animal.',
  }
}
