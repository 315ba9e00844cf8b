import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http'
import { isDevMode, provideBrowserGlobalErrorListeners, type ApplicationConfig } from '@angular/core'
import {
  provideRouter,
  TitleStrategy,
  withComponentInputBinding,
  withNavigationErrorHandler,
  withPreloading,
} from '@angular/router'
import { provideEffects } from '@ngrx/effects'
import { provideStore } from '@ngrx/store'
import { provideStoreDevtools } from '@ngrx/store-devtools'
import { provideDoubleTapGuard } from '../common/double-tap'
import * as recordsEffects from '../state/records/records.effects'
import { recordsFeature } from '../state/records/records.feature'
import * as settingsEffects from '../state/settings/settings.effects'
import * as waitingEffects from '../state/waiting/waiting.effects'
import { settingsFeature } from '../state/settings/settings.feature'
import { routes } from './app.routes'
import { Ahead, outOfReach } from './ahead'
import { provideIcons } from './icons'
import { signInFirst } from './sign-in'
import { CrescentTitle } from './title'

declare const ngDevMode: boolean | undefined

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideHttpClient(withFetch(), withInterceptors([signInFirst])),
    provideRouter(
      routes,
      withComponentInputBinding(),
      withPreloading(Ahead),
      withNavigationErrorHandler(outOfReach),
    ),
    { provide: TitleStrategy, useClass: CrescentTitle },
    provideStore({
      [settingsFeature.name]: settingsFeature.reducer,
      [recordsFeature.name]: recordsFeature.reducer,
    }),
    provideEffects(settingsEffects, recordsEffects, waitingEffects),
    ngDevMode ? provideStoreDevtools({ maxAge: 25, logOnly: !isDevMode() }) : [],
    provideIcons(),
    provideDoubleTapGuard(),
  ],
}
