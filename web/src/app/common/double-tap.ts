import { DOCUMENT, inject, provideEnvironmentInitializer, type EnvironmentProviders } from '@angular/core'

/**
 * A hand that taps twice means one thing. The second click of a pair must not fall into the dialog the first one
 * opened: it would close it again, or press what happens to lie there.
 */
export const provideDoubleTapGuard = (): EnvironmentProviders =>
  provideEnvironmentInitializer(() => {
    let beganInside = false
    inject(DOCUMENT).addEventListener(
      'click',
      (event) => {
        const inside =
          event.target instanceof Element && event.target.closest('.cdk-overlay-container') !== null
        if (event.detail <= 1) beganInside = inside
        else if (inside && !beganInside) {
          event.stopPropagation()
          event.preventDefault()
        }
      },
      { capture: true },
    )
  })
