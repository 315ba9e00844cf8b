import { HttpErrorResponse } from '@angular/common/http'
import { TestBed } from '@angular/core/testing'
import { MatSnackBar } from '@angular/material/snack-bar'
import { Router } from '@angular/router'
import type { Horse, HorsePage, Round, Visit } from '@crescent/core'
import { provideEffects } from '@ngrx/effects'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { PAGE, STORE } from '../../testing/samples'
import { Api } from '../api'
import * as recordsEffects from './records.effects'
import { recordsActions, recordsFeature } from './records.feature'

const horse = PAGE.horse
/** The visit that the server tells next: version 0 where it is not stored yet. */
const visit = (id: string, version: number): Visit => ({ ...PAGE.visit, id, version })

describe('records', () => {
  let next: Visit
  let put: Visit[]
  let gone: string[][]
  let said: string[]
  let saveHorse: () => unknown

  beforeEach(() => {
    ;[put, gone, said] = [[], [], []]
    saveHorse = () => of({ ...horse, version: 2 })
    const page = (): HorsePage => ({
      horse,
      owner: null,
      visits: [],
      footRecords: [],
      looks: [],
      patterns: [],
    })
    const api = {
      horsePage: () => of(page()),
      nextVisit: () => of({ ...PAGE, visit: next }),
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
    next = visit('new', 0)
    start()
    expect(put).toEqual([next])
    expect(gone).toEqual([['/bench', put[0]!.id, 'LF']])
  })

  it('show a visit that was begun since on the Round that was read before: it goes on from there', () => {
    const due = (id: string) => ({ ...horse, id, due: '2026-11-20', stops: [] })
    const round = {
      ...{ seen: [], overdue: [due('horse'), due('other')], due: [], steps: [], calls: [] },
      counts: { overdue: 2, due: 0, horses: 2, patterns: 0 },
    } as unknown as Round
    dispatch(recordsActions.roundRead({ round }))
    next = visit('new', 0)
    start()
    const now = state().round!
    expect(now.seen).toMatchObject([{ id: 'horse', visitId: 'new', visitState: 'open' }])
    expect(now.overdue.map(({ id }) => id)).toEqual(['other'])
    expect(now.counts.overdue).toBe(1)
  })

  it('go on with a visit that is stored already, and make no second', () => {
    next = visit('open', 3)
    start()
    expect(put).toEqual([])
    expect(gone.map((path) => path[1])).toEqual(['open'])
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
