import type { Side } from '@crescent/core'

/** The feet as they are named in words. */
export const SIDE_NAMES: Record<Side, string> = {
  LF: 'left fore',
  RF: 'right fore',
  LH: 'left hind',
  RH: 'right hind',
}
