import { HttpErrorResponse, type HttpInterceptorFn } from '@angular/common/http'
import { inject, Injectable } from '@angular/core'
import { catchError, defer, from, map, shareReplay, switchMap, throwError, type Observable } from 'rxjs'
import { Dialogs } from '../common/dialogs'

/** Asks for the password of the practice, once for however many requests wait for it. */
@Injectable({ providedIn: 'root' })
export class SignIn {
  private readonly dialogs = inject(Dialogs)
  private asked: Observable<void> | undefined

  ask(): Observable<void> {
    const bring = () => import('./sign-in-dialog').then((m) => m.SignInDialog)
    this.asked ??= defer(() => from(this.dialogs.insist(bring, { width: '400px', disableClose: true }))).pipe(
      map(() => {
        this.asked = undefined
      }),
      shareReplay(1),
    )
    return this.asked
  }
}

/** A request that is refused for want of a password is sent again once somebody has signed in. */
export const signInFirst: HttpInterceptorFn = (request, next) => {
  const signIn = inject(SignIn)
  return next(request).pipe(
    catchError((error: unknown) =>
      error instanceof HttpErrorResponse && error.status === 401 && !request.url.endsWith('/session')
        ? signIn.ask().pipe(switchMap(() => next(request)))
        : throwError(() => error),
    ),
  )
}
