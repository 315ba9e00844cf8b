import type { BenchStep } from '../../bench-step'

/** Looking at the horse before anything is measured: findings, the vet's word, advice. */
export const LOOK: BenchStep = {
  key: 'look',
  letter: 'l',
  label: 'Look',
  needsPlan: false,
  beforeGates: true,
  undoes: 'look',
  panel: () => import('./bench-look').then((m) => m.LookInputs),
  views: [{ key: 'horse', label: 'Sole', drawing: () => import('./bench-look').then((m) => m.LookSole) }],
  beside: () => import('./bench-look').then((m) => m.LookBeside),
  handles: () => [],
}
