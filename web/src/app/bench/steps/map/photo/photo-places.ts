import { PHOTO_TAPS, type PhotoTap } from '@crescent/core/photographs'
import type { FootFigureKey } from '@crescent/core'

/** Both ends of a length that is known in the picture; then the seven places of the foot. */
export type PhotoPlace = 'from' | 'to' | PhotoTap
export interface AskedPlace<Key extends string = PhotoPlace> {
  key: Key
  label: string
  ask: string
}

const ENDS: readonly AskedPlace[] = [
  { key: 'from', label: 'One end', ask: 'Tap one end of the length you know' },
  { key: 'to', label: 'Other end', ask: 'Tap its other end' },
]

/** What is tapped one after the other. */
export function placesAsked(object: 'foot' | 'shoe', byLength: boolean): readonly AskedPlace[] {
  const taps = PHOTO_TAPS.map(({ shoe, ...tap }) => (object === 'shoe' ? { ...tap, ask: shoe } : tap))
  return byLength ? [...ENDS, ...taps] : taps
}

/** Figures of a sole that are read from one more place on the same picture, mm behind the toe. */
export type SolePlace = Extract<FootFigureKey, 'frogApex' | 'barsFromToe' | 'arcFromToe'>
export const SOLE_PLACES: readonly AskedPlace<SolePlace>[] = [
  { key: 'frogApex', label: 'Frog apex', ask: 'Tap the true apex of the frog, where frog and sole meet' },
  { key: 'barsFromToe', label: 'End of the bars', ask: 'Tap where the bars run out into the sole' },
  { key: 'arcFromToe', label: 'Widest arc', ask: 'Tap where the sides stand widest apart' },
]
export type SoleFigures = Partial<Record<SolePlace, number>>
