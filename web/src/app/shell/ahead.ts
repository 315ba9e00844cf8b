import { inject, Injectable } from '@angular/core'
import type { NavigationError, PreloadingStrategy, Route } from '@angular/router'
import { EMPTY, catchError, type Observable, switchMap, timer } from 'rxjs'
import { Tells } from '../common/tells'

/** ms after the first place stands: by then what it needed itself has come, over a slow line too. */
const REST = 6_000

/** The other places are fetched once the first one stands: they open where the server is out of reach by then. */
@Injectable({ providedIn: 'root' })
export class Ahead implements PreloadingStrategy {
  preload = (_route: Route, load: () => Observable<unknown>): Observable<unknown> =>
    timer(REST).pipe(
      switchMap(load),
      // It is fetched when somebody goes there.
      catchError(() => EMPTY),
    )
}

/** A place that was never opened and cannot be fetched now: no tap is without an answer. */
export function outOfReach(error: NavigationError): void {
  console.warn(error.error)
  void inject(Tells).warn(
    'This place could not be opened: the server does not answer. Where you are, the work goes on.',
  )
}
