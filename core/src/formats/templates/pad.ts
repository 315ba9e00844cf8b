import { pieceLayers } from './piece'
import type { TrueSize } from './template'

/** The pad between shoe and foot. */
export const PAD: TrueSize = {
  kind: 'pad',
  faces: 'ground side up',
  missing: 'This shoe has no pad: put pad and packing on it first',
  from: 'ground',
  draw: (plan) => pieceLayers(plan, 'pad', 'Pad'),
}
