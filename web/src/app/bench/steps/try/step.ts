import type { BenchStep } from '../../bench-step'
import { planSlip } from '../sole-view'

/** Trying on: what to bend, in which order. */
export const TRY: BenchStep = {
  key: 'try',
  letter: 'y',
  label: 'Try',
  needsPlan: true,
  beforeGates: false,
  undoes: 'bench',
  panel: () => import('./try-panel').then((m) => m.TryPanel),
  views: [
    {
      key: 'bends',
      label: 'Bends',
      flow: true,
      drawing: () => import('./bends-view').then((m) => m.BendsView),
    },
    {
      key: 'contact',
      label: 'Contact',
      flow: true,
      drawing: () => import('./contact-view').then((m) => m.ContactView),
    },
    {
      key: 'tries',
      label: 'Usual corrections',
      flow: true,
      heavy: true,
      drawing: () => import('./tries-view').then((m) => m.TriesView),
    },
  ],
  beside: planSlip,
  handles: () => [],
}
