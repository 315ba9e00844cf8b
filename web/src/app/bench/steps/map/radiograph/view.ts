import type { BenchView } from '../../../bench-step'

/** The lateral radiograph: read in Map, planned on in Shoe. */
export const RADIOGRAPH_VIEW: BenchView = {
  key: 'radiograph',
  label: 'Radiograph',
  flow: true,
  heavy: true,
  drawing: () => import('./bench-radiograph').then((m) => m.BenchRadiograph),
}
