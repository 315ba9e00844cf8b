import { shoeHandles, type Plan } from '@crescent/core'
import type { BenchStep } from '../../bench-step'
import { RADIOGRAPH_VIEW } from '../map/radiograph/view'
import { planSlip, SOLE_VIEW } from '../sole-view'

/** Choosing bar, fit and modifications. */
export const SHOE: BenchStep = {
  key: 'shoe',
  letter: 's',
  label: 'Shoe',
  needsPlan: true,
  beforeGates: false,
  undoes: 'bench',
  panel: () => import('./bench-shoe').then((m) => m.ShoeInputs),
  views: [
    SOLE_VIEW,
    { key: 'off', label: 'Off the foot', drawing: () => import('./bench-shoe').then((m) => m.ShoeOff) },
    { key: 'side', label: 'Side', drawing: () => import('./bench-shoe').then((m) => m.ShoeFromSide) },
    { key: 'cut', label: 'Cut', drawing: () => import('./bench-shoe').then((m) => m.ShoeCut) },
    {
      key: 'solid',
      label: 'In the round',
      heavy: true,
      drawing: () => import('./bench-solid').then((m) => m.BenchSolid),
    },
    {
      key: 'against',
      label: 'Against',
      flow: true,
      drawing: () => import('./bench-against').then((m) => m.BenchAgainst),
    },
    {
      key: 'going',
      label: 'Ground',
      flow: true,
      heavy: true,
      drawing: () => import('./going/bench-going').then((m) => m.BenchGoing),
    },
    RADIOGRAPH_VIEW,
  ],
  showsBar: true,
  beside: planSlip,
  handles: (plan: Plan) => shoeHandles(plan).filter(({ view }) => view === 'sole'),
}
