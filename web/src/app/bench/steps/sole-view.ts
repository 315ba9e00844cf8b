import type { BenchView, Shown } from '../bench-step'

/** The sole: the same drawing in every step, with that step's handles. */
export const SOLE_VIEW: BenchView = {
  key: 'sole',
  label: 'Sole',
  drawing: () => import('../sole/bench-sole').then((m) => m.BenchSole),
}

/** The slip beside every step that has a plan. */
export const planSlip: Shown = () => import('../slip/plan-slip').then((m) => m.PlanSlip)
