import { HttpErrorResponse } from '@angular/common/http'
import { TestBed } from '@angular/core/testing'
import { MatSnackBar } from '@angular/material/snack-bar'
import { Router } from '@angular/router'
import type { Visit } from '@crescent/core'
import { provideEffects } from '@ngrx/effects'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { FOOT, PAGE, pattern, STORE } from '../../testing/samples'
import { Api, type SeveralFeet } from '../api'
import * as benchEffects from '../bench/bench.effects'
import { benchActions, benchFeature } from '../bench/bench.feature'
import type { SaveRequest } from '../bench/bench.state'
import { keptDrafts } from '../bench/kept-drafts'
import * as savingEffects from '../bench/saving.effects'
import { keepWaiting, waitingSaves, type WaitingSave } from './waiting-saves'
import * as waitingEffects from './waiting.effects'

const REQUEST: SaveRequest = {
  ...{ side: 'LF', name: 'Set', asNew: true, why: 'said once', newPatternId: 'np', newRecordId: 'nr' },
}
type Sent = SeveralFeet['feet'][number]
const gone = () => throwError(() => new HttpErrorResponse({ status: 0 }))
const stored = ({ pattern: one, record }: Sent) => ({
  pattern: pattern(one.id, { ...one, version: one.version + 1 }),
  record: { ...record, version: record.version + 1 },
})

describe('saving while the server is away', () => {
  let away: boolean
  let sent: Sent[]
  let answer: (one: Sent) => unknown
  let said: string[]

  beforeEach(() => {
    localStorage.clear()
    vi.useFakeTimers()
    ;[away, sent, said] = [true, [], []]
    answer = (one) => of(stored(one))
    const putShoeing = (one: Sent) => {
      if (away) return gone()
      sent.push(one)
      return answer(one)
    }
    TestBed.configureTestingModule({
      providers: [
        ...STORE,
        provideEffects(benchEffects, savingEffects, waitingEffects),
        {
          provide: Api,
          useValue: { putShoeing, putSeveralFeet: gone, visitPage: gone, putVisit: (one: Visit) => of(one) },
        },
        { provide: Router, useValue: { url: '/', navigate: () => undefined } },
        { provide: MatSnackBar, useValue: { open: (text: string) => said.push(text) } },
      ],
    })
  })
  afterEach(() => vi.useRealTimers())

  const store = () => TestBed.inject(Store)
  const state = () => store().selectSignal(benchFeature.selectBenchState)()
  const work = () => {
    store().dispatch(benchActions.opened({ page: PAGE, kept: {} }))
    store().dispatch(benchActions.copyLast())
  }

  it('keeps what was saved and sends it by itself, with what was said of it', async () => {
    work()
    store().dispatch(benchActions.save({ request: REQUEST }))
    expect(state()).toMatchObject({ saving: false, waiting: ['LF'], drafts: { LF: { dirty: true } } })
    expect(waitingSaves()).toMatchObject([{ visitId: 'visit', side: 'LF', horse: 'Fig' }])
    await vi.advanceTimersByTimeAsync(4_000)
    expect(sent).toEqual([])
    away = false
    await vi.advanceTimersByTimeAsync(30_000)
    expect(sent).toMatchObject([
      { pattern: { id: 'np', name: 'Set', why: 'said once' }, record: { id: 'nr' } },
    ])
    expect(waitingSaves()).toEqual([])
    expect(state()).toMatchObject({
      waiting: [],
      drafts: { LF: { dirty: false, base: { record: { version: 1 } } } },
    })
  })

  it('goes out at once where the network is back, the newest of a foot only; what was changed since stays unsaved', async () => {
    work()
    store().dispatch(benchActions.save({ request: REQUEST }))
    store().dispatch(benchActions.setFigure({ key: 'width', value: 130 }))
    store().dispatch(benchActions.save({ request: { ...REQUEST, name: 'Wider' } }))
    expect(waitingSaves()).toHaveLength(1)
    store().dispatch(benchActions.setFigure({ key: 'width', value: 131 }))
    away = false
    window.dispatchEvent(new Event('online'))
    await vi.advanceTimersByTimeAsync(10)
    expect(sent).toMatchObject([{ pattern: { name: 'Wider', foot: { width: 130 } } }])
    expect(state().drafts!.LF).toMatchObject({ dirty: true, foot: { figures: { width: 131 } } })
  })

  it('does not go out after a newer save by hand: it is no change from elsewhere', async () => {
    work()
    store().dispatch(benchActions.save({ request: REQUEST }))
    store().dispatch(benchActions.setFigure({ key: 'width', value: 130 }))
    away = false
    store().dispatch(benchActions.save({ request: { ...REQUEST, name: 'Newer' } }))
    expect(sent).toMatchObject([{ pattern: { name: 'Newer', foot: { width: 130 } } }])
    expect(state()).toMatchObject({ waiting: [], drafts: { LF: { dirty: false } } })
    await vi.advanceTimersByTimeAsync(40_000)
    expect(sent).toHaveLength(1)
    expect(state().conflict).toBeNull()
  })

  it('several feet saved in one go wait and go one after the other', async () => {
    work()
    store().dispatch(benchActions.chooseSide({ side: 'RF' }))
    store().dispatch(benchActions.mirror())
    const RF = { ...REQUEST, side: 'RF' as const, newPatternId: 'np2', newRecordId: 'nr2' }
    store().dispatch(benchActions.saveSeveral({ requests: [REQUEST, RF] }))
    expect(state()).toMatchObject({ saving: false, waiting: ['LF', 'RF'] })
    away = false
    await vi.advanceTimersByTimeAsync(30_000)
    expect(sent.map(({ record }) => record.side)).toEqual(['LF', 'RF'])
    expect([state().drafts!.LF.dirty, state().drafts!.RF.dirty]).toEqual([false, false])
  })

  it('is asked about where the foot was changed elsewhere meanwhile, and waits no more', async () => {
    work()
    store().dispatch(benchActions.save({ request: REQUEST }))
    const theirs = { record: { id: 'nr', version: 4, visitId: 'visit', side: 'LF', foot: FOOT } }
    const conflict = new HttpErrorResponse({ status: 409, error: { errors: [], current: theirs } })
    answer = () => throwError(() => conflict)
    away = false
    await vi.advanceTimersByTimeAsync(30_000)
    expect(waitingSaves()).toEqual([])
    expect(state()).toMatchObject({ waiting: [], conflict: { side: 'LF', record: { version: 4 } } })
    expect(state().drafts!.LF.dirty).toBe(true)
  })
})

describe('what an earlier page left', () => {
  it('is sent though its visit is not on the Bench, and its draft goes with it unless it was worked on since', async () => {
    localStorage.clear()
    const one: WaitingSave = {
      ...{ visitId: 'visit', side: 'LF', horse: 'Fig' },
      shoeing: {
        pattern: pattern('np'),
        record: {
          id: 'nr',
          version: 0,
          visitId: 'visit',
          side: 'LF',
          foot: FOOT,
          patternId: 'np',
          notes: '',
        },
      },
      work: JSON.stringify({ foot: 1, shoe: 2 }),
    }
    keepWaiting(one)
    keepWaiting({ ...one, side: 'RF' })
    localStorage.setItem(
      'crescent.bench.visit',
      JSON.stringify({ LF: { foot: 1, shoe: 2 }, RF: { foot: 1, shoe: 3 } }),
    )
    const putShoeing = vi.fn((both: Sent) => of(stored(both)))
    TestBed.configureTestingModule({
      providers: [
        ...STORE,
        provideEffects(waitingEffects),
        { provide: Api, useValue: { putShoeing } },
        { provide: MatSnackBar, useValue: { open: () => undefined } },
      ],
    })
    TestBed.inject(Store)
    await vi.waitFor(() => expect(putShoeing).toHaveBeenCalledTimes(2))
    expect(waitingSaves()).toEqual([])
    expect(Object.keys(keptDrafts('visit'))).toEqual(['RF'])
  })
})

describe('a visit with unsaved work', () => {
  it('opens while the server is away, as this browser keeps it', async () => {
    localStorage.clear()
    TestBed.configureTestingModule({
      providers: [
        ...STORE,
        provideEffects(benchEffects),
        { provide: Api, useValue: { visitPage: gone } },
        { provide: Router, useValue: { url: '/', navigate: () => undefined } },
        { provide: MatSnackBar, useValue: { open: () => undefined } },
      ],
    })
    const store = TestBed.inject(Store)
    const state = store.selectSignal(benchFeature.selectBenchState)
    store.dispatch(benchActions.opened({ page: PAGE, kept: {} }))
    store.dispatch(benchActions.copyLast())
    // Kept a moment after the change.
    await vi.waitFor(() => expect(localStorage.getItem('crescent.page.visit')).not.toBeNull())
    const other = { ...PAGE, visit: { ...PAGE.visit, id: 'other' } }
    store.dispatch(benchActions.opened({ page: other, kept: {} }))
    store.dispatch(benchActions.open({ visitId: 'visit' }))
    expect(state()).toMatchObject({ page: { visit: { id: 'visit' } }, failure: '' })
    expect(state().drafts!.LF.foot.figures.width).toBe(FOOT.width)
    // One without unsaved work is not kept.
    store.dispatch(benchActions.open({ visitId: 'third' }))
    expect(state()).toMatchObject({ page: null, failure: expect.stringContaining('does not answer') })
  })
})
