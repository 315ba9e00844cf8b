import type { ReadTrace } from '../tracing/read-trace'
import type { FootFigure, FootFigureKey } from './figures'

/**
 * What a traced outline says of the figures that are not given beside it: as shares of width and length, so that they go with
 * these when somebody overrules them.
 */
export function tracedShares({
  toeY,
  buttressY,
  branches: [outer, inner],
}: ReadTrace): Partial<Record<FootFigureKey, NonNullable<FootFigure['fallback']>>> {
  const long = toeY - buttressY
  return {
    widestFromToe: ({ length }) => (length * toeY) / long,
    lateralHalfWidth: ({ width }) => (width * outer.widest) / (outer.widest + inner.widest),
    quarterLead: ({ length }) => (length * (outer.widestY - inner.widestY)) / long,
  }
}
