import { nailHandles, type Plan } from '@crescent/core'
import type { BenchStep } from '../../bench-step'
import { planSlip, SOLE_VIEW } from '../sole-view'

/** Placing the nails. */
export const NAIL: BenchStep = {
  key: 'nail',
  letter: 'n',
  label: 'Nail',
  needsPlan: true,
  beforeGates: false,
  undoes: 'bench',
  panel: () => import('./bench-nail').then((m) => m.NailInputs),
  views: [
    SOLE_VIEW,
    {
      key: 'side',
      label: 'Side',
      drawing: () => import('../shoe/bench-shoe').then((m) => m.ShoeFromSide),
    },
  ],
  beside: planSlip,
  handles: (plan: Plan) => nailHandles(plan),
}
