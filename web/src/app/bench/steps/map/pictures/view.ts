import type { BenchView } from '../../../bench-step'

/** Photographs of the foot over its visits. */
export const PHOTOGRAPHS_VIEW: BenchView = {
  key: 'photographs',
  label: 'Photos',
  flow: true,
  heavy: true,
  drawing: () => import('./bench-photographs').then((m) => m.BenchPhotographs),
}
