import { pieceLayers } from './piece'
import type { TrueSize } from './template'

/** The plate of a heart bar. */
export const FROG: TrueSize = {
  kind: 'frog',
  faces: 'ground side up',
  missing: 'This shoe has no frog plate: put a heart bar on it first',
  from: 'ground',
  draw: (plan) => pieceLayers(plan, 'frog', 'Frog plate'),
}
