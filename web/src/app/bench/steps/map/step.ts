import { footHandles, type FootInput, type Plan } from '@crescent/core'
import type { BenchStep } from '../../bench-step'
import { planSlip, SOLE_VIEW } from '../sole-view'
import { PHOTOGRAPHS_VIEW } from './pictures/view'
import { RADIOGRAPH_VIEW } from './radiograph/view'

/** Measuring the foot, and judging its widest part and breakover. */
export const MAP: BenchStep = {
  key: 'map',
  letter: 'm',
  label: 'Map',
  needsPlan: true,
  beforeGates: false,
  undoes: 'bench',
  panel: () => import('./bench-map').then((m) => m.MapInputs),
  views: [
    SOLE_VIEW,
    { key: 'side', label: 'Side', drawing: () => import('./bench-map').then((m) => m.MapSide) },
    RADIOGRAPH_VIEW,
    PHOTOGRAPHS_VIEW,
    {
      key: 'compare',
      label: 'Compare',
      flow: true,
      drawing: () => import('./bench-compare').then((m) => m.BenchCompare),
    },
    {
      key: 'time',
      label: 'Over time',
      flow: true,
      heavy: true,
      drawing: () => import('./over-time').then((m) => m.OverTime),
    },
  ],
  beside: planSlip,
  inSlip: () => import('./bench-balance').then((m) => m.BenchBalance),
  judgesBalance: true,
  handles: ({ foot, assumed }: Plan, input: FootInput, landmarks: boolean) =>
    footHandles({ input, foot, assumed }, landmarks ? 'landmarks' : 'measures'),
}
