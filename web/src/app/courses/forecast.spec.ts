import { TestBed } from '@angular/core/testing'
import { HttpErrorResponse } from '@angular/common/http'
import type { Forecast } from '@crescent/core/weeks'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { Api } from '../state/api'
import { settingsActions } from '../state/settings/settings.feature'
import { show, STORE } from '../testing/samples'
import { HorseForecast } from './horse-forecast'
import { ProposedCycle } from './proposed-cycle'

const TOLD: Forecast = {
  date: '2026-12-14',
  from: '2026-11-02',
  feet: [
    {
      side: 'LF',
      measures: [{ key: 'width', value: 127, low: 125.4, high: 128.6 }],
      growth: { count: 4, perWeek: 1.5, low: 1.2, high: 1.8 },
      drift: { mm: 5.5, low: 4.4, high: 6.6, reason: ['It grows ', { length: 1.5, as: 'fine' }, ' a week.'] },
      wear: {
        rate: { count: 4, perWeek: 0.4, low: 0.3, high: 0.5 },
        pooled: false,
        hardFaced: false,
        reset: false,
        reason: ['It loses ', { length: 0.4, as: 'fine' }, ' a week.'],
        through: { date: '2027-01-25', weeks: 12, early: '2027-01-04' },
      },
      otherWear: {
        rate: { count: 3, perWeek: 0.1 },
        pooled: true,
        through: { date: '2027-10-25', weeks: 51 },
      },
    },
    { side: 'RF', measures: [] },
  ],
  cycle: {
    ...{ weeks: 5.4, date: '2026-12-09', limit: 'drift', reason: 'Growth carries it forward.' },
    limits: [
      { key: 'drift', weeks: 5.4, reason: 'Growth carries it forward.' },
      { key: 'own', weeks: 7, reason: 'The cycle set for this horse: 7 weeks.' },
    ],
  },
  holding: [
    { design: 'Slide', worn: 4, lost: 1, loose: 1, reasons: [{ reason: 'stepped off', count: 2 }] },
    { design: 'General', worn: 9, lost: 0, loose: 0, reasons: [] },
  ],
}

const api = { forecast: vi.fn() }

beforeEach(() => {
  api.forecast.mockReset().mockReturnValue(of(TOLD))
  TestBed.configureTestingModule({ providers: [...STORE, { provide: Api, useValue: api }] })
  TestBed.inject(Store).dispatch(settingsActions.change({ changes: { unit: 'mm' } }))
})

describe('what to expect', () => {
  beforeEach(() => vi.useFakeTimers({ toFake: ['Date'], now: new Date('2026-12-01T09:00:00') }))
  afterEach(() => vi.useRealTimers())

  it('is told foot by foot with its intervals, in the chosen unit, and which shoes came off', async () => {
    const { text } = await show(HorseForecast, { horseId: 'horse', first: '2026-12-14' })
    expect(text()).toContain('Come again Wed 9 Dec 2026')
    expect(text()).toContain('7.0 weeks The cycle set for this horse')
    expect(text()).toContain('Likely width 127 mm, between 125.5 mm and 128.5 mm')
    expect(text()).toContain('Breakover 5.5 mm further forward, between 4.4 mm and 6.6 mm')
    expect(text()).toContain('Through about 25 Jan 2027, as early as 4 Jan 2027.')
    expect(text()).toContain('does not last another cycle')
    expect(text()).toContain('hard-faced through about 25 Oct 2027')
    expect(text()).toContain('Nothing to go by yet')
    expect(text()).toContain('Slide: 1 lost and 1 loose of 4 (stepped off 2)')
    expect(text()).not.toContain('General:')
  })

  it('says of a day that is past that it is, and that the next one will do', async () => {
    vi.setSystemTime(new Date('2026-12-20T09:00:00'))
    api.forecast.mockReturnValue(of(TOLD))
    const { text } = await show(HorseForecast, { horseId: 'horse', first: '2026-12-20' })
    expect(text()).toContain('Was due Wed 9 Dec 2026, which is past')
    expect(text()).not.toContain('Come again')
  })

  it('says that it could not be read, and reads it once more', async () => {
    api.forecast.mockReturnValueOnce(throwError(() => new HttpErrorResponse({ status: 0 })))
    const { text, press } = await show(HorseForecast, { horseId: 'horse', first: '2026-12-14' })
    expect(text()).toContain('does not answer')
    await press('Try again')
    expect(text()).toContain('Come again')
  })
})

describe('the day that is proposed', () => {
  it('runs from this visit, with its reason, and is taken with a tap', async () => {
    api.forecast.mockReturnValue(of({ ...TOLD, cycle: { ...TOLD.cycle!, date: '2027-01-13' } }))
    const taken: string[] = []
    const { fixture, text, press } = await show(ProposedCycle, {
      horseId: 'horse',
      visitId: 'visit',
      from: '2026-12-07',
    })
    fixture.componentInstance.taken.subscribe((day: string) => taken.push(day))
    expect(api.forecast).toHaveBeenCalledWith('horse', '2026-12-07', 'visit')
    // 37 days.
    expect(text()).toContain('Wed 13 Jan 2027')
    expect(text()).toContain('5.5 weeks. Growth carries it forward.')
    await press('Take that day')
    expect(taken).toEqual(['2027-01-13'])
    fixture.componentRef.setInput('set', '2027-01-13')
    await fixture.whenStable()
    expect(text()).not.toContain('Take that day')
  })

  it('a course keeps its own day, and one that is past is not proposed', async () => {
    const course = (date: string) =>
      of({
        ...TOLD,
        cycle: { ...TOLD.cycle!, limit: 'course' as const, date, reason: 'The course asks for it.' },
      })
    api.forecast.mockReturnValue(course('2026-12-16'))
    const coming = await show(ProposedCycle, { horseId: 'horse', visitId: 'visit', from: '2026-12-07' })
    expect(coming.text()).toContain('Wed 16 Dec 2026')
    api.forecast.mockReturnValue(course('2026-12-07'))
    const past = await show(ProposedCycle, { horseId: 'horse', visitId: 'visit', from: '2026-12-07' })
    expect(past.text().trim()).toBe('')
  })
})
