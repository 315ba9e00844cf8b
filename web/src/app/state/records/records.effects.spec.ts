import { HttpErrorResponse } from '@angular/common/http'
import { TestBed } from '@angular/core/testing'
import { MatSnackBar } from '@angular/material/snack-bar'
import { Router } from '@angular/router'
import type { Horse, HorsePage, Visit } from '@crescent/core'
import { provideEffects } from '@ngrx/effects'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { PAGE, STORE } from '../../testing/samples'
import { Api } from '../api'
import * as recordsEffects from './records.effects'
import { recordsActions, recordsFeature } from './records.feature'

const horse = PAGE.horse
const visit = (id: string, date: string, state: Visit['state']): Visit => ({ ...PAGE.visit, id, date, state })

describe('records', () => {
  let visits: Visit[]
  let put: Visit[]
  let gone: string[][]
  let said: string[]
  let saveHorse: () => unknown

  beforeEach(() => {
    ;[visits, put, gone, said] = [[], [], [], []]
    saveHorse = () => of({ ...horse, version: 2 })
    const page = (): HorsePage => ({ horse, owner: null, visits, footRecords: [], looks: [], patterns: [] })
    const api = {
      horsePage: () => of(page()),
      horses: () => throwError(() => new HttpErrorResponse({ status: 0 })),
      putVisit: (one: Visit) => {
        put.push(one)
        return of({ ...one, version: 1 })
      },
      putHorse: () => saveHorse(),
    }
    TestBed.configureTestingModule({
      providers: [
        ...STORE,
        provideEffects(recordsEffects),
        { provide: Api, useValue: api },
        { provide: Router, useValue: { navigate: (path: string[]) => gone.push(path) } },
        { provide: MatSnackBar, useValue: { open: (text: string) => said.push(text) } },
      ],
    })
  })

  const dispatch = (action: Parameters<typeof recordsFeature.reducer>[1]) =>
    TestBed.inject(Store).dispatch(action)
  const state = () => TestBed.inject(Store).selectSignal(recordsFeature.selectRecordsState)()
  const start = () => dispatch(recordsActions.startVisit({ horseId: 'horse', date: '2026-11-23' }))

  it('start a visit of today and go to the Bench with it', () => {
    visits = [visit('old', '2026-10-01', 'done')]
    start()
    expect(put).toEqual([
      expect.objectContaining({ version: 0, horseId: 'horse', date: '2026-11-23', state: 'open' }),
    ])
    expect(gone).toEqual([['/bench', put[0]!.id, 'LF']])
  })

  it('go on with the visit that is open, or with the one of today, and make no second', () => {
    visits = [visit('open', '2026-11-20', 'open')]
    start()
    visits = [visit('today', '2026-11-23', 'done')]
    start()
    expect(put).toEqual([])
    expect(gone.map((path) => path[1])).toEqual(['open', 'today'])
  })

  it('say why something could not be read, and keep what was there', () => {
    dispatch(recordsActions.openHorse({ id: 'horse' }))
    dispatch(recordsActions.search({ search: 'fig', archived: false }))
    expect(state()).toMatchObject({ loading: 'failed', search: 'fig', page: { horse: { id: 'horse' } } })
    expect(state().failure).toContain('does not answer')
  })

  it('take over a saved horse, and say when somebody else changed it first', async () => {
    dispatch(recordsActions.openHorse({ id: 'horse' }))
    dispatch(recordsActions.saveHorse({ horse }))
    expect(state().page!.horse.version).toBe(2)
    const current: Horse = { ...horse, version: 5 }
    saveHorse = () => throwError(() => new HttpErrorResponse({ status: 409, error: { errors: [], current } }))
    dispatch(recordsActions.saveHorse({ horse }))
    await vi.waitFor(() => expect(said).toEqual([expect.stringContaining('changed in another window')]))
    expect(state().page!.horse.version).toBe(2)
  })
})
