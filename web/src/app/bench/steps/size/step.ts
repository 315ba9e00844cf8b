import type { BenchStep } from '../../bench-step'
import { planSlip } from '../sole-view'

/** Choosing among factory shoes. */
export const SIZE: BenchStep = {
  key: 'size',
  letter: 'z',
  label: 'Size',
  needsPlan: true,
  beforeGates: false,
  undoes: 'bench',
  panel: () => import('./size-panel').then((m) => m.SizePanel),
  views: [
    {
      key: 'over',
      label: 'On the foot',
      drawing: () => import('./size-over').then((m) => m.SizeOver),
      flow: true,
    },
  ],
  beside: planSlip,
  handles: () => [],
}
