import type { BenchStep } from '../../bench-step'
import { planSlip } from '../sole-view'

/** What is carried to the forge: the work heat by heat, and everything on one card. */
export const IRON: BenchStep = {
  key: 'iron',
  letter: 'i',
  label: 'Iron',
  needsPlan: true,
  beforeGates: false,
  undoes: 'bench',
  panel: () => import('./iron-panel').then((m) => m.IronPanel),
  views: [
    {
      key: 'heats',
      label: 'Step by step',
      flow: true,
      drawing: () => import('./heats-view').then((m) => m.HeatsView),
    },
    {
      key: 'card',
      label: 'Forge card',
      flow: true,
      drawing: () => import('./card-view').then((m) => m.CardView),
    },
  ],
  showsBar: true,
  beside: planSlip,
  handles: () => [],
}
