import type { FigureKind } from '../units/figure'

/** note: good to know; caution: think before you go on; stop: do not go on. */
export type Severity = 'note' | 'caution' | 'stop'

/** Something that may go wrong, as data: what may happen and what to do about it. */
export interface Caution {
  /** Steady name for programs, records and tests. */
  code: string
  severity: Severity
  title: string
  /** What may happen. */
  text: string
  /** What to do. */
  action: string
  /** The figure it asks about, where it asks about one; a screen writes it in its own unit. */
  figure?: AskedFigure
}

/** A figure that is possible but hard to believe, and what is usual. */
export interface AskedFigure {
  key: string
  label: string
  value: number
  kind: FigureKind
  usual: readonly [number, number]
  animal: string
}
