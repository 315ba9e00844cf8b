import { DOCUMENT, inject } from '@angular/core'
import { createEffect } from '@ngrx/effects'
import { Store } from '@ngrx/store'
import { tap } from 'rxjs'
import { browserStore } from '../browser-store'
import { SETTINGS_KEY, settingsFeature } from './settings.feature'

/** Keeps the settings in this browser and shows the chosen theme. */
export const keepSettings = createEffect(
  (store = inject(Store), document = inject(DOCUMENT)) =>
    store.select(settingsFeature.selectSettingsState).pipe(
      tap((settings) => {
        browserStore.write(SETTINGS_KEY, settings)
        document.documentElement.classList.toggle('light', settings.theme === 'light')
        document.documentElement.classList.toggle('dark', settings.theme === 'dark')
      }),
    ),
  { functional: true, dispatch: false },
)
