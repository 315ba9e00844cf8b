import type { Vec } from '../geometry/vector'

/** The seven places that are tapped on a photograph, in the order they are asked for: of a foot, and of a shoe along the middle of its web. */
export const PHOTO_TAPS = [
  {
    key: 'toe',
    label: 'Toe',
    ask: 'Tap the middle of the toe',
    shoe: 'Tap the middle of the web at the toe',
  },
  {
    key: 'lateralToeQuarter',
    label: 'Outer toe quarter',
    ask: 'Tap the outer toe quarter',
    shoe: 'Tap the middle of the web at the outer toe quarter',
  },
  {
    key: 'medialToeQuarter',
    label: 'Inner toe quarter',
    ask: 'Tap the inner toe quarter',
    shoe: 'Tap the middle of the web at the inner toe quarter',
  },
  {
    key: 'lateralWidest',
    label: 'Outer widest place',
    ask: 'Tap the outer side where it is widest',
    shoe: 'Tap the middle of the web where the outer branch is widest',
  },
  {
    key: 'medialWidest',
    label: 'Inner widest place',
    ask: 'Tap the inner side where it is widest',
    shoe: 'Tap the middle of the web where the inner branch is widest',
  },
  {
    key: 'lateralHeel',
    label: 'Outer heel',
    ask: 'Tap the outer heel, where it bears',
    shoe: 'Tap the middle of the web at the outer heel',
  },
  {
    key: 'medialHeel',
    label: 'Inner heel',
    ask: 'Tap the inner heel, where it bears',
    shoe: 'Tap the middle of the web at the inner heel',
  },
] as const

export type PhotoTap = (typeof PHOTO_TAPS)[number]['key']
export type SevenTaps = Record<PhotoTap, Vec>

/** Round the toe, from heel to heel. */
export const ROUND: readonly PhotoTap[] = [
  'lateralHeel',
  'lateralWidest',
  'lateralToeQuarter',
  'toe',
  'medialToeQuarter',
  'medialWidest',
  'medialHeel',
]
