import { HttpErrorResponse } from '@angular/common/http'
import { TestBed } from '@angular/core/testing'
import { newLook, type Look, type AdviceChoice } from '@crescent/core'
import { provideEffects } from '@ngrx/effects'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { PAGE, STORE } from '../../testing/samples'
import { Api } from '../api'
import { benchActions } from '../bench/bench.feature'
import { browserStore } from '../browser-store'
import * as lookEffects from './look.effects'
import { lookActions, lookFeature } from './look.feature'

const finding = {
  id: 'f',
  kind: 'pain',
  place: 'foot',
  grade: 2,
  note: '',
  answer: 'new',
  since: '2026-11-23',
} as const
const open = (stored: Look | null = null, before: Look | null = null) =>
  lookActions.opened({ visitId: 'visit', stored, before, kept: undefined, newId: 'fresh' })

describe('the look at a visit', () => {
  let store: Store
  const state = () => TestBed.inject(Store).selectSignal(lookFeature.selectLookState)()
  const setNote = (notes: string) =>
    lookActions.setWays({ ways: { ...state().look!.ways, notes }, touched: 'notes' })

  beforeEach(() => {
    TestBed.configureTestingModule({ providers: STORE })
    store = TestBed.inject(Store)
    store.dispatch(open())
  })

  it('begins anew where none is stored, and is not stored before something was said', () => {
    expect(state().look).toMatchObject({ id: 'fresh', version: 0, visitId: 'visit' })
    expect(state().unsaved).toBe(false)
  })

  it('undoes typing in one go and a tap by itself', () => {
    store.dispatch(setNote('m'))
    store.dispatch(setNote('mu'))
    store.dispatch(setNote('mud'))
    store.dispatch(lookActions.settle())
    store.dispatch(
      lookActions.setFoot({ side: 'LF', foot: { ...state().look!.feet.LF, lost: true }, touched: 'LF lost' }),
    )
    store.dispatch(lookActions.undo())
    expect(state().look!.feet.LF.lost).toBeUndefined()
    expect(state().look!.ways.notes).toBe('mud')
    store.dispatch(lookActions.undo())
    expect(state().look!.ways.notes).toBe('')
    store.dispatch(lookActions.redo())
    expect(state().look!.ways.notes).toBe('mud')
  })

  it('keeps a later version when work that was sent is stored, and what was changed meanwhile', () => {
    store.dispatch(setNote('mud'))
    const sent = state().look!
    store.dispatch(lookActions.settle())
    store.dispatch(setNote('mud and stones'))
    store.dispatch(lookActions.saved({ sent, stored: { ...sent, version: 1 } }))
    expect(state()).toMatchObject({ unsaved: true, look: { version: 1, ways: { notes: 'mud and stones' } } })
    const again = state().look!
    store.dispatch(lookActions.saved({ sent: again, stored: { ...again, version: 2 } }))
    expect(state()).toMatchObject({ unsaved: false, look: { version: 2 } })
    // Undo does not go back to a version that is stored no more.
    store.dispatch(lookActions.undo())
    expect(state().look!.version).toBe(2)
  })

  it('keeps one choice a piece of advice and foot', () => {
    const choice = {
      code: 'pad',
      side: 'LF',
      choice: 'accepted',
      reason: '',
      at: '2026-11-23T10:00:00.000Z',
    } as const
    const choose = (made: AdviceChoice) =>
      store.dispatch(
        lookActions.choose({ choices: [made], side: made.side, foot: state().look!.feet[made.side] }),
      )
    choose(choice)
    choose({ ...choice, choice: 'dismissed', reason: 'rot' })
    choose({ ...choice, side: 'RF' })
    expect(state().look!.advice.map(({ side, choice: made }) => `${side} ${made}`)).toEqual([
      'LF dismissed',
      'RF accepted',
    ])
    const { LF } = state().look!.feet
    const foot = { ...LF, solePlane: 'with it' }
    store.dispatch(lookActions.unchoose({ codes: ['pad'], side: 'LF', foot }))
    expect(state().look!.feet.LF.solePlane).toBe('with it')
    expect(state().look!.advice).toHaveLength(1)
  })

  it('closes a gate on what calls for the vet and opens it when that was acknowledged', () => {
    const closed = store.selectSignal(lookFeature.selectClosedGates)
    store.dispatch(
      lookActions.setFoot({
        side: 'LF',
        foot: { ...state().look!.feet.LF, findings: [finding] },
        touched: '',
      }),
    )
    expect(closed()).toHaveLength(1)
    const { key, title } = closed()[0]!
    store.dispatch(
      lookActions.acknowledge({
        acknowledged: [{ gate: key, title, words: 'told', at: '2026-11-23T10:00:00.000Z' }],
      }),
    )
    expect(closed()).toHaveLength(0)
  })

  it('asks about the findings of the visit before, foot by foot', () => {
    const before = newLook('old', 'before')
    before.feet.RH.findings = [{ ...finding }]
    store.dispatch(open(null, before))
    const questions = store.selectSignal(lookFeature.selectQuestions)
    expect(questions().map(({ side, questions: asked }) => `${side} ${asked.length}`)).toEqual([
      'LF 0',
      'RF 0',
      'LH 0',
      'RH 1',
    ])
  })

  it('on a conflict keeps mine on top of theirs, or takes theirs so that undo brings mine back', () => {
    store.dispatch(setNote('mine'))
    const theirs = { ...state().look!, version: 5, ways: { ...state().look!.ways, notes: 'theirs' } }
    store.dispatch(lookActions.saveRefused({ current: theirs }))
    store.dispatch(lookActions.keepMine())
    expect(state()).toMatchObject({
      unsaved: true,
      conflict: null,
      look: { version: 5, ways: { notes: 'mine' } },
    })
    store.dispatch(lookActions.saveRefused({ current: theirs }))
    store.dispatch(lookActions.takeTheirs())
    expect(state().look!.ways.notes).toBe('theirs')
    store.dispatch(lookActions.undo())
    expect(state().look!.ways.notes).toBe('mine')
  })
})

describe('keeping the look', () => {
  let answers: ((look: Look) => unknown)[]
  let sent: Look[]
  const state = () => TestBed.inject(Store).selectSignal(lookFeature.selectLookState)()
  const change = (notes: string) =>
    TestBed.inject(Store).dispatch(
      lookActions.setWays({ ways: { ...state().look!.ways, notes }, touched: '' }),
    )

  beforeEach(() => {
    vi.useFakeTimers()
    localStorage.clear()
    sent = []
    answers = []
    const putLook = (look: Look) => {
      sent.push(look)
      return (answers.shift() ?? ((one: Look) => of({ ...one, version: one.version + 1 })))(look)
    }
    TestBed.configureTestingModule({
      providers: [...STORE, provideEffects(lookEffects), { provide: Api, useValue: { putLook } }],
    })
    TestBed.inject(Store).dispatch(benchActions.opened({ page: PAGE, kept: {} }))
  })
  afterEach(() => vi.useRealTimers())

  it('stores by itself once the hand rests, one request for many taps', () => {
    change('a')
    change('b')
    vi.advanceTimersByTime(600)
    expect(sent.map(({ ways }) => ways.notes)).toEqual(['b'])
    expect(state()).toMatchObject({ unsaved: false, look: { version: 1 } })
    vi.advanceTimersByTime(5_000)
    expect(sent).toHaveLength(1)
  })

  it.each([408, 429, 503, 0])('tries again after %d, with growing pauses up to a minute', (status) => {
    answers = Array.from({ length: 9 }, () => () => throwError(() => new HttpErrorResponse({ status })))
    change('patience')
    vi.advanceTimersByTime(600)
    const pauses = []
    for (let before = sent.length, waited = 0; sent.length < 9;) {
      vi.advanceTimersByTime(500)
      waited += 500
      if (sent.length === before) continue
      pauses.push(waited / 1_000)
      ;[before, waited] = [sent.length, 0]
    }
    expect(pauses).toEqual([2, 4, 8, 16, 32, 60, 60, 60])
    vi.advanceTimersByTime(60_000)
    expect(state().unsaved).toBe(false)
  })

  it('names the field where it is refused, and does not ask again', () => {
    const errors = [{ path: 'feet.LF.findings.0.note', message: 'Too big: at most 20000 letters' }]
    answers = [() => throwError(() => new HttpErrorResponse({ status: 400, error: { errors } }))]
    change('long')
    vi.advanceTimersByTime(60_000)
    expect(sent).toHaveLength(1)
    expect(state().failure).toContain('Findings note: Too big')
  })

  it('keeps in this browser what the server does not have, sends it again, and then forgets it', () => {
    answers = [() => throwError(() => new HttpErrorResponse({ status: 0 }))]
    change('offline')
    vi.advanceTimersByTime(600)
    expect(state().failure).toContain('does not answer')
    expect(browserStore.read<{ look: Look }>('look.visit')?.look.ways.notes).toBe('offline')
    vi.advanceTimersByTime(5_000)
    expect(sent).toHaveLength(2)
    expect(state().unsaved).toBe(false)
    expect(browserStore.read('look.visit')).toBeUndefined()
  })

  it('hands a refused write to the farrier and does not send it again by itself', () => {
    const current = { ...newLook('other', 'visit'), version: 3 }
    answers = [() => throwError(() => new HttpErrorResponse({ status: 409, error: { errors: [], current } }))]
    change('mine')
    vi.advanceTimersByTime(10_000)
    expect(state().conflict?.version).toBe(3)
    expect(sent).toHaveLength(1)
  })

  it('takes up what this browser kept when the visit is opened again', () => {
    const look = { ...newLook('kept', 'visit'), ways: { interference: [], notes: 'from before' } }
    browserStore.write('look.visit', { look, entries: { 'LF old-widest': 'two' } })
    TestBed.inject(Store).dispatch(benchActions.opened({ page: PAGE, kept: {} }))
    expect(state()).toMatchObject({
      unsaved: true,
      look: { id: 'kept' },
      entries: { 'LF old-widest': 'two' },
    })
  })

  it('leaves alone what another window keeps of the same visit', () => {
    browserStore.write('look.visit', { look: newLook('theirs', 'visit'), entries: {} })
    vi.advanceTimersByTime(1_000)
    expect(browserStore.read<{ look: Look }>('look.visit')?.look.id).toBe('theirs')
  })
})
