import { inject } from '@angular/core'
import { Router } from '@angular/router'
import { Actions, createEffect, ofType } from '@ngrx/effects'
import type { Visit } from '@crescent/core'
import { catchError, concatMap, exhaustMap, map, of, switchMap, tap, type Observable } from 'rxjs'
import { Tells } from '../../common/tells'
import { Api, conflictOf, failureText } from '../api'
import { recordsActions } from './records.feature'

const failed = (error: unknown) => of(recordsActions.failed({ failure: failureText(error) }))
const saveFailed = (error: unknown) =>
  of(
    recordsActions.saveFailed({
      failure: conflictOf(error)
        ? 'Not saved: changed in another window since you opened it. Open it again to see the change.'
        : `Not saved. ${failureText(error)}`,
    }),
  )

export const readRound = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(recordsActions.openRound),
      switchMap(({ date }) =>
        api.round(date).pipe(
          map((round) => recordsActions.roundRead({ round })),
          catchError(failed),
        ),
      ),
    ),
  { functional: true },
)

export const findHorses = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(recordsActions.search),
      switchMap(({ search, archived }) =>
        api.horses(search, archived).pipe(
          map((horses) => recordsActions.horsesFound({ horses })),
          catchError(failed),
        ),
      ),
    ),
  { functional: true },
)

export const readHorse = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(recordsActions.openHorse),
      switchMap(({ id }) =>
        api.horsePage(id).pipe(
          map((page) => recordsActions.horseRead({ page })),
          catchError(failed),
        ),
      ),
    ),
  { functional: true },
)

/** Stores a visit that begins; where another window began one meanwhile, that is the one. */
const begun = (api: Api, visit: Visit): Observable<Visit> =>
  api.putVisit(visit).pipe(
    catchError((error: unknown) => {
      const current = conflictOf<Visit>(error)
      if (current) return of(current)
      throw error
    }),
  )

/** One visit a day: a second start goes on with the first. */
export const startVisit = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(recordsActions.startVisit),
      exhaustMap(({ horseId, date }) =>
        api.nextVisit(horseId, date).pipe(
          concatMap(({ visit }) => (visit.version > 0 ? of(visit) : begun(api, visit))),
          map((visit) => recordsActions.visitStarted({ visit })),
          catchError(saveFailed),
        ),
      ),
    ),
  { functional: true },
)

export const goToBench = createEffect(
  (actions = inject(Actions), router = inject(Router)) =>
    actions.pipe(
      ofType(recordsActions.visitStarted),
      tap(({ visit }) => void router.navigate(['/bench', visit.id, 'LF'])),
    ),
  { functional: true, dispatch: false },
)

export const saveHorse = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(recordsActions.saveHorse),
      concatMap(({ horse }) =>
        api.putHorse(horse).pipe(
          map((saved) => recordsActions.horseSaved({ horse: saved })),
          catchError(saveFailed),
        ),
      ),
    ),
  { functional: true },
)

export const saveOwner = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(recordsActions.saveOwner),
      concatMap(({ owner }) =>
        api.putOwner(owner).pipe(
          map((saved) => recordsActions.ownerSaved({ owner: saved })),
          catchError(saveFailed),
        ),
      ),
    ),
  { functional: true },
)

export const savePattern = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(recordsActions.savePattern),
      concatMap(({ pattern }) =>
        api.putPattern(pattern).pipe(
          map((saved) => recordsActions.patternSaved({ pattern: saved })),
          catchError(saveFailed),
        ),
      ),
    ),
  { functional: true },
)

export const tellFailure = createEffect(
  (actions = inject(Actions), tells = inject(Tells)) =>
    actions.pipe(
      ofType(recordsActions.saveFailed),
      tap(({ failure }) => void tells.warn(failure)),
    ),
  { functional: true, dispatch: false },
)
