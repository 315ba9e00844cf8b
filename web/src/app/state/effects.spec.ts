import { HttpErrorResponse } from '@angular/common/http'
import { TestBed } from '@angular/core/testing'
import { MatSnackBar } from '@angular/material/snack-bar'
import { Router } from '@angular/router'
import type { FootRecord, Pattern, Visit } from '@crescent/core'
import { Actions, provideEffects } from '@ngrx/effects'
import { Store, type Action } from '@ngrx/store'
import { Observable, of, throwError } from 'rxjs'
import { FOOT, PAGE, pattern, STORE } from '../testing/samples'
import { Api, conflictOf, failureText, isGone, isPassing, type SeveralFeet } from './api'
import * as benchEffects from './bench/bench.effects'
import * as savingEffects from './bench/saving.effects'
import * as visitEffects from './bench/visit.effects'
import { benchActions, benchFeature } from './bench/bench.feature'
import type { SaveRequest } from './bench/bench.state'
import { recordsActions } from './records/records.feature'

const refusal = (status: number, body: unknown) => new HttpErrorResponse({ status, error: body })
const REQUEST: SaveRequest = { side: 'LF', name: 'Set', asNew: true, newPatternId: 'np', newRecordId: 'nr' }

describe('what a failure says', () => {
  it('tells an unreachable server, a list of problems and the unforeseen apart', () => {
    expect(failureText(refusal(0, null))).toContain('does not answer')
    expect(
      failureText(
        refusal(400, {
          errors: [
            // A schema's own words do not say which field; those of the trade do.
            { path: 'feet.LF.findings.0.note', message: 'Too long.' },
            { path: 'foot.heelWidth', message: 'Invalid input.' },
            { path: 'foot.width', message: 'Width: too wide.' },
          ],
        }),
      ),
    ).toBe('Findings note: Too long. Foot heel width: Invalid input. Width: too wide.')
    for (const status of [0, 408, 429, 500, 503]) expect(isPassing(refusal(status, null))).toBe(true)
    for (const status of [400, 401, 404, 409]) expect(isPassing(refusal(status, null))).toBe(false)
    expect(failureText(refusal(502, null))).toContain('502')
    expect(failureText(new Error('x'))).toContain('went wrong')
  })

  it('finds the stored record in a refused write only', () => {
    expect(conflictOf(refusal(409, { errors: [], current: { id: 'x' } }))).toEqual({ id: 'x' })
    expect(conflictOf(refusal(409, { errors: [] }))).toBeUndefined()
    expect(conflictOf(refusal(400, { current: {} }))).toBeUndefined()
    expect(isGone(refusal(404, null))).toBe(true)
  })
})

describe('saving from the Bench', () => {
  let sent: { patterns: Pattern[]; records: FootRecord[] }
  let api: {
    putShoeing: (both: { pattern: Pattern; record: FootRecord }) => unknown
    putVisit: (visit: Visit) => unknown
    putSeveralFeet?: (visitId: string, several: SeveralFeet) => unknown
  }
  let done: Action[]

  beforeEach(() => {
    localStorage.clear()
    sent = { patterns: [], records: [] }
    api = {
      putShoeing: ({ pattern: one, record }) => {
        sent.patterns.push(one)
        sent.records.push(record)
        return of({
          pattern: pattern(one.id, { ...one, version: one.version + 1 }),
          record: { ...record, version: record.version + 1 },
        })
      },
      putVisit: (visit) => of({ ...visit, version: visit.version + 1 }),
    }
    TestBed.configureTestingModule({
      providers: [
        ...STORE,
        provideEffects(benchEffects, savingEffects, visitEffects),
        { provide: Api, useFactory: () => api },
        { provide: MatSnackBar, useValue: { open: () => undefined } },
      ],
    })
    done = []
    TestBed.inject(Actions).subscribe((action: Action) => done.push(action))
    const store = TestBed.inject(Store)
    store.dispatch(benchActions.opened({ page: PAGE, kept: {} }))
    store.dispatch(benchActions.copyLast())
  })

  const store = () => TestBed.inject(Store)
  const state = () => store().selectSignal(benchFeature.selectBenchState)()

  it('puts the foot and its pattern in one go', () => {
    store().dispatch(benchActions.save({ request: REQUEST }))
    expect(sent.patterns[0]).toMatchObject({
      id: 'np',
      version: 0,
      name: 'Set',
      side: 'LF',
      visitId: 'visit',
    })
    expect(sent.patterns[0]!.foot).toMatchObject({ ...FOOT })
    expect(sent.records[0]).toMatchObject({ id: 'nr', version: 0, patternId: 'np' })
    expect(state().drafts!.LF).toMatchObject({
      dirty: false,
      base: { record: { version: 1 }, pattern: { version: 1 } },
    })
  })

  it('sends the next version of the pattern it began from unless a new one is asked for', () => {
    store().dispatch(benchActions.save({ request: { ...REQUEST, asNew: false } }))
    expect(sent.patterns[0]).toMatchObject({ id: 'p1', version: 1 })
  })

  it('keeps the work unsaved when the server is gone, and sends the same ids again', () => {
    const good = api.putShoeing
    api.putShoeing = () => throwError(() => refusal(0, null))
    store().dispatch(benchActions.save({ request: REQUEST }))
    expect(state()).toMatchObject({ saving: false, drafts: { LF: { dirty: true } } })
    api.putShoeing = good
    store().dispatch(
      benchActions.save({ request: { ...REQUEST, newPatternId: 'other', newRecordId: 'other' } }),
    )
    expect(sent.patterns[0]!.id).toBe('np')
    expect(sent.records[0]!.id).toBe('nr')
  })

  it('asks once when both were changed elsewhere, and sends both on top of what is stored', () => {
    const record = { id: 'theirs', version: 3, visitId: 'visit', side: 'LF', foot: FOOT } as FootRecord
    const current = { record, pattern: pattern('p1', { version: 5 }) }
    const good = api.putShoeing
    api.putShoeing = () => throwError(() => refusal(409, { errors: [], current }))
    store().dispatch(benchActions.save({ request: { ...REQUEST, asNew: false } }))
    expect(state().conflict).toMatchObject({ side: 'LF', record: { id: 'theirs' }, pattern: { version: 5 } })
    api.putShoeing = good
    store().dispatch(benchActions.keepMine())
    expect(sent.patterns.map(({ id, version }) => [id, version])).toEqual([['p1', 5]])
    expect(sent.records[0]).toMatchObject({ id: 'theirs', version: 3 })
    expect(state()).toMatchObject({ conflict: null, drafts: { LF: { dirty: false } } })
  })

  describe('several feet', () => {
    const RF: SaveRequest = { ...REQUEST, side: 'RF', newPatternId: 'np2', newRecordId: 'nr2' }
    const stored = ({ pattern: one, record }: SeveralFeet['feet'][number]) => ({
      pattern: pattern(one.id, { ...one, version: one.version + 1 }),
      record: { ...record, version: record.version + 1 },
    })
    const both = () => {
      store().dispatch(benchActions.chooseSide({ side: 'RF' }))
      store().dispatch(benchActions.mirror())
      store().dispatch(benchActions.saveSeveral({ requests: [REQUEST, RF] }))
    }

    it('go in one request and are saved together', () => {
      const asked: SeveralFeet[] = []
      api.putSeveralFeet = (_visit, several) => {
        asked.push(several)
        return of({ visit: PAGE.visit, feet: several.feet.map(stored) })
      }
      both()
      expect(asked).toHaveLength(1)
      expect(asked[0]!.feet.map(({ record }) => [record.side, record.id])).toEqual([
        ['LF', 'nr'],
        ['RF', 'nr2'],
      ])
      const { drafts, saving } = state()
      expect(saving).toBe(false)
      expect([drafts!.LF, drafts!.RF]).toMatchObject([
        { dirty: false, base: { record: { version: 1 }, pattern: { id: 'np' } } },
        { dirty: false, base: { record: { version: 1 }, pattern: { id: 'np2' } } },
      ])
    })

    it('of which one was changed elsewhere are all kept here, and that one is asked about', () => {
      const theirs = pattern('np2', { version: 7 })
      const current = { feet: { RF: { pattern: theirs } } }
      api.putSeveralFeet = () => throwError(() => refusal(409, { errors: [], current }))
      both()
      expect(state().conflict).toMatchObject({ side: 'RF', pattern: { version: 7 } })
      expect(state().refused).toMatchObject({ side: 'RF' })
      expect([state().drafts!.LF.dirty, state().drafts!.RF.dirty]).toEqual([true, true])
    })

    it('that were stored as last time are taken over, but for one with unsaved work', () => {
      const sideOf = (side: 'LF' | 'RF') => {
        const one = pattern(`again-${side}`, { side, visitId: 'visit', foot: { ...FOOT, side } })
        const record = {
          id: `r-${side}`,
          version: 1,
          visitId: 'visit',
          side,
          foot: one.foot,
          patternId: one.id,
        }
        return { pattern: one, record: { ...record, notes: '' } }
      }
      const visit = { ...PAGE.visit, version: 2, feet: { RF: { work: 'shod' as const } } }
      store().dispatch(recordsActions.severalStored({ visit, feet: [sideOf('LF'), sideOf('RF')] }))
      const { drafts, page } = state()
      expect(page!.visit.version).toBe(2)
      expect(drafts!.RF).toMatchObject({ dirty: false, foot: { figures: { width: FOOT.width } } })
      expect(drafts!.RF.base.pattern!.id).toBe('again-RF')
      // The width of the left fore was copied before and not saved: that work goes on.
      expect(drafts!.LF.foot.figures.width).toBe(FOOT.width)
      // Another visit is not touched.
      store().dispatch(
        recordsActions.severalStored({ visit: { ...visit, id: 'other', version: 9 }, feet: [] }),
      )
      expect(state().page!.visit.version).toBe(2)
    })
  })

  it('changes the visit on top of what another window made of it', () => {
    const stored = { ...PAGE.visit, version: 6, notes: 'from the truck' }
    const good = api.putVisit
    api.putVisit = (visit) =>
      visit.version === 6 ? good(visit) : throwError(() => refusal(409, { errors: [], current: stored }))
    const feet = { LH: { work: 'bare' as const } }
    store().dispatch(benchActions.changeVisit({ changes: { feet } }))
    expect(state().page!.visit).toMatchObject({ version: 7, notes: 'from the truck', feet })
    expect(store().selectSignal(benchFeature.selectWork)()).toEqual({ LH: 'bare' })
  })

  it('puts the notes of two who finish one visit together, and sends them once more', () => {
    const theirs = { ...PAGE.visit, version: 6, state: 'done' as const, notes: 'theirs' }
    const good = api.putVisit
    const put: Visit[] = []
    api.putVisit = (visit) => {
      put.push(visit)
      return visit.version === 6
        ? good(visit)
        : throwError(() => refusal(409, { errors: [], current: theirs }))
    }
    store().dispatch(benchActions.changeVisit({ changes: { state: 'done', notes: 'mine' } }))
    expect(put.map(({ version, notes }) => [version, notes])).toEqual([
      [PAGE.visit.version, 'mine'],
      [6, 'theirs\nmine'],
    ])
    expect(state().page!.visit.notes).toBe('theirs\nmine')
  })

  it('while the server is away what is done stands, is sent again by itself, and outlives a reload', () => {
    vi.useFakeTimers()
    try {
      const good = api.putVisit
      let away = true
      api.putVisit = (visit) => (away ? throwError(() => refusal(0, null)) : good(visit))
      store().dispatch(benchActions.changeVisit({ changes: { feet: { LF: { work: 'shod' } } } }))
      vi.advanceTimersByTime(5_000)
      expect(store().selectSignal(benchFeature.selectWork)().LF).toBe('shod')
      expect(done.filter(({ type }) => type === benchActions.visitWaits.type)).toHaveLength(1)
      const kept = JSON.parse(localStorage.getItem(`crescent.visit.${PAGE.visit.id}`)!) as unknown
      expect(kept).toEqual([{ feet: { LF: { work: 'shod' } } }])
      away = false
      vi.advanceTimersByTime(60_000)
      expect(state().page!.visit.feet.LF).toEqual({ work: 'shod' })
      expect(state().pending).toEqual([])
      expect(localStorage.getItem(`crescent.visit.${PAGE.visit.id}`)).toBeNull()
      // Left with something waiting, and come back.
      localStorage.setItem(
        `crescent.visit.${PAGE.visit.id}`,
        JSON.stringify([{ feet: { RF: { work: 'bare' } } }]),
      )
      store().dispatch(benchActions.opened({ page: PAGE, kept: {} }))
      expect(state().page!.visit.feet.RF).toEqual({ work: 'bare' })
    } finally {
      vi.useRealTimers()
    }
  })

  it('what waits outlives another visit on the Bench between, until it is answered', () => {
    vi.useFakeTimers()
    try {
      const good = api.putVisit
      let away = true
      api.putVisit = (visit) => (away ? throwError(() => refusal(0, null)) : good(visit))
      const kept = () => localStorage.getItem(`crescent.visit.${PAGE.visit.id}`)
      store().dispatch(benchActions.changeVisit({ changes: { notes: 'typed in the barn' } }))
      const other = { ...PAGE, visit: { ...PAGE.visit, id: 'other' } }
      store().dispatch(benchActions.opened({ page: other, kept: {} }))
      expect(kept()).toContain('typed in the barn')
      store().dispatch(benchActions.opened({ page: PAGE, kept: {} }))
      expect(kept()).toContain('typed in the barn')
      expect(state().pending).toEqual([{ notes: 'typed in the barn' }])
      store().dispatch(benchActions.opened({ page: other, kept: {} }))
      away = false
      vi.advanceTimersByTime(120_000)
      expect(kept()).toBeNull()
    } finally {
      vi.useRealTimers()
    }
  })

  it('what is refused is said, and does not stand', () => {
    api.putVisit = () =>
      throwError(() => refusal(400, { errors: [{ path: 'state', message: 'LF: abscess.' }] }))
    store().dispatch(benchActions.changeVisit({ changes: { state: 'done' } }))
    expect(done.find(({ type }) => type === benchActions.visitRefused.type)).toMatchObject({
      failure: 'LF: abscess.',
    })
    expect(state().pending).toEqual([])
  })

  it('has a horse read again whose page was opened before its visit was stored, and no other', () => {
    const url = vi.spyOn(TestBed.inject(Router), 'url', 'get')
    const read = () => done.filter((action) => action.type === recordsActions.openHorse.type)
    store().dispatch(benchActions.changeVisit({ changes: { notes: 'still on the Bench' } }))
    expect(read()).toEqual([])
    url.mockReturnValue(`/stable/${PAGE.horse.id}`)
    store().dispatch(benchActions.changeVisit({ changes: { notes: 'gone on' } }))
    expect(read()).toEqual([recordsActions.openHorse({ id: PAGE.horse.id })])
  })

  it('two quick changes of the feet both stay, and those another window made', async () => {
    const waiting: (() => void)[] = []
    const seen: Visit[] = []
    api.putVisit = (visit) =>
      new Observable<Visit>((answer) => {
        waiting.push(() => {
          seen.push(visit)
          answer.next({ ...visit, version: visit.version + 1 })
          answer.complete()
        })
      })
    store().dispatch(benchActions.changeVisit({ changes: { feet: { LF: { work: 'bare' } } } }))
    store().dispatch(benchActions.changeVisit({ changes: { feet: { RF: { paused: 'sore' } } } }))
    store().dispatch(
      benchActions.changeVisit({ changes: { feet: { RF: { paused: undefined, work: 'reset' } } } }),
    )
    while (waiting.length > 0) {
      waiting.shift()!()
      await Promise.resolve()
    }
    expect(seen.map(({ feet }) => feet)).toEqual([
      { LF: { work: 'bare' } },
      { LF: { work: 'bare' }, RF: { paused: 'sore' } },
      { LF: { work: 'bare' }, RF: { work: 'reset' } },
    ])
  })

  it('keeps unsaved work in the browser and takes it away once it is saved', async () => {
    const kept = () => localStorage.getItem('crescent.bench.visit')
    await vi.waitFor(() => expect(kept()).toContain('"LF"'))
    store().dispatch(benchActions.save({ request: REQUEST }))
    await vi.waitFor(() => expect(kept()).toBeNull())
    expect(done.map((action) => action.type)).toContain(benchActions.saved.type)
  })
})
