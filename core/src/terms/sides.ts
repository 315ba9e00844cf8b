/** Left and right, fore and hind. */
export const SIDES = ['LF', 'RF', 'LH', 'RH'] as const
export type Side = (typeof SIDES)[number]
/** The other of each pair. */
export const OPPOSITE: Readonly<Record<Side, Side>> = { LF: 'RF', RF: 'LF', LH: 'RH', RH: 'LH' }
/** The feet as they are named in words. */
export const SIDE_NAMES: Readonly<Record<Side, string>> = {
  LF: 'left fore',
  RF: 'right fore',
  LH: 'left hind',
  RH: 'right hind',
}
