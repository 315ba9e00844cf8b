import { TestBed } from '@angular/core/testing'
import { provideRouter } from '@angular/router'
import type { Size, Try } from '@crescent/core'
import { triesOverTime, type TriesOverTime } from '@crescent/core/anvil'
import { Store } from '@ngrx/store'
import { of } from 'rxjs'
import { Api } from '../state/api'
import { benchActions, benchFeature } from '../state/bench/bench.feature'
import { settingsActions } from '../state/settings/settings.feature'
import { PAGE, STORE } from './samples'
import { Desk } from '../bench/desk'
import { Forging } from '../bench/steps/iron/forging'

const holes = [36, 56, 76].map((fromToe) => ({ fromToe, inset: 9 }))

/** A size of the table, by its length, with three holes a side. */
export const size = (length: number, more: Partial<Size> = {}): Size => ({
  ...{ id: `size-${length}`, version: 1, range: 'Everyday', label: String(length), kind: 'creased-steel' },
  ...{ feet: 'front', web: 20, thickness: 8, length, holes: { lateral: holes, medial: holes } },
  ...{ lengthDerived: false, price: null, onVan: 2, keepOnVan: 1, archived: false },
  ...more,
})

/** A size that is sawn, not bent. */
export const moulded = (length: number): Size =>
  size(length, { kind: 'polymer', web: 25, thickness: 12, crease: 8, holes: { lateral: [], medial: [] } })

/** What the server of a test answers; a test puts its own in. */
export interface AnvilServer {
  sizes: () => unknown
  putTry: (one: Try) => unknown
  over: TriesOverTime
  /** What was logged so far. */
  logged: Try[]
}

/** A Bench with the last visit copied, in inches, and a server that is told what to answer. */
export function anvilBench(): AnvilServer {
  const server: AnvilServer = {
    sizes: () => of([size(310), size(335), size(365)]),
    putTry: (one) => {
      server.logged.push(one)
      return of({ ...one, version: 1 })
    },
    ...{ over: triesOverTime([]), logged: [] },
  }
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      provideRouter([]),
      ...[Desk, Forging],
      {
        provide: Api,
        useValue: {
          sizes: () => server.sizes(),
          tries: () => of([]),
          putTry: (one: Try) => server.putTry(one),
          triesOverTime: () => of(server.over),
        },
      },
    ],
  })
  const store = TestBed.inject(Store)
  store.dispatch(settingsActions.change({ changes: { unit: 'in', denominator: 16 } }))
  store.dispatch(benchActions.opened({ page: PAGE, kept: {} }))
  store.dispatch(benchActions.copyLast())
  return server
}

/** The shoe of the left fore as it lies on the Bench. */
export const shoe = () => TestBed.inject(Store).selectSignal(benchFeature.selectBenchState)().drafts!.LF.shoe
