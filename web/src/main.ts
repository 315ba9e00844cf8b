import { bootstrapApplication } from '@angular/platform-browser'
import { App } from './app/shell/app'
import { appConfig } from './app/shell/app.config'

bootstrapApplication(App, appConfig).catch((error: unknown) => console.error(error))
