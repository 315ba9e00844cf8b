import { pieceLayers } from './piece'
import type { TrueSize } from './template'

/** The cross bars of an expander, one below the other as its modification lays them. */
export const BARS: TrueSize = {
  kind: 'bars',
  faces: 'either side up',
  missing: 'This shoe has no cross bars: put a hinged heel expander on it first',
  from: 'bench',
  draw: (plan) => pieceLayers(plan, 'bars', 'Cross bars'),
}
