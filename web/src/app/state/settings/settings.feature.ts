import type { LengthStyle, LengthUnit } from '@crescent/core'
import { createActionGroup, createFeature, createReducer, createSelector, on, props } from '@ngrx/store'
import { browserStore } from '../browser-store'

export type Theme = 'auto' | 'light' | 'dark'

/** What this browser remembers about how its user reads. */
export interface Settings {
  unit: LengthUnit
  denominator: 16 | 32
  theme: Theme
  /** Screen pixels in a true millimetre; 96 to the inch until the screen was measured. */
  pixelsPerMm: number
  /** What the long line of the printed scale card measures, mm; null while nobody measured it. */
  printedLine: number | null
  /** The visit that was on the Bench last. */
  lastVisit: string | null
}

export const SETTINGS_KEY = 'settings'

const USUAL: Settings = {
  unit: 'in',
  denominator: 16,
  theme: 'auto',
  pixelsPerMm: 96 / 25.4,
  printedLine: null,
  lastVisit: null,
}

export const settingsActions = createActionGroup({
  source: 'Settings',
  events: { change: props<{ changes: Partial<Settings> }>() },
})

export const settingsFeature = createFeature({
  name: 'settings',
  reducer: createReducer(
    { ...USUAL, ...browserStore.read<Partial<Settings>>(SETTINGS_KEY) },
    on(settingsActions.change, (settings, { changes }): Settings => ({ ...settings, ...changes })),
  ),
  extraSelectors: ({ selectUnit, selectDenominator }) => ({
    selectLengthStyle: createSelector(selectUnit, selectDenominator, (unit, denominator): LengthStyle => ({
      unit,
      denominator,
    })),
  }),
})
