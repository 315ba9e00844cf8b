import { pieceLayers } from './piece'
import type { TrueSize } from './template'

/** The plate that is screwed over the sole. */
export const PLATE: TrueSize = {
  kind: 'plate',
  faces: 'ground side up',
  missing: 'This shoe has no plate: put a hospital plate on it first',
  from: 'ground',
  draw: (plan) => pieceLayers(plan, 'plate', 'Plate'),
}
