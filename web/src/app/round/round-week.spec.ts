import { HttpErrorResponse } from '@angular/common/http'
import { TestBed } from '@angular/core/testing'
import { provideRouter } from '@angular/router'
import type { RoundStop, RoundWeek } from '@crescent/core'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { Tells } from '../common/tells'
import { Api } from '../state/api'
import { settingsActions } from '../state/settings/settings.feature'
import { show, STORE } from '../testing/samples'
import { RoundWeekView } from './round-week'
import { loadWords, mondayOf, overdueOn, withMoved } from './week-days'

const stop = (name: string, due: string, minutes: number | null, place = 'Wick'): RoundStop =>
  ({
    horse: { id: name, name, due, place, ownerName: '', lastVisit: null },
    minutes,
    bars: [
      {
        section: { shape: 'flat', width: 19.05, thickness: 7.9375, material: 'steel' },
        ...{ name: '3/4 x 5/16', count: 4, total: 1219.2 },
      },
    ],
    sizes: [],
  }) as unknown as RoundStop
const WEEK: RoundWeek = {
  from: '2026-11-23',
  days: ['2026-11-23', '2026-11-24', '2026-11-25'].map((date) => ({
    date,
    stops: date === '2026-11-24' ? [stop('Fig', date, 95), stop('Auk', date, null)] : [],
    steps: [],
    calls: [],
  })),
  overdue: [stop('Late', '2026-11-20', 30)],
  late: [],
  lateCalls: [],
}

const api = { roundWeek: vi.fn(), moveDue: vi.fn() }
const tells = { done: vi.fn(), warn: vi.fn() }

beforeEach(() => {
  vi.clearAllMocks()
  api.roundWeek.mockReturnValue(of(WEEK))
  api.moveDue.mockReturnValue(of({}))
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      provideRouter([]),
      { provide: Api, useValue: api },
      { provide: Tells, useValue: tells },
    ],
  })
  TestBed.inject(Store).dispatch(settingsActions.change({ changes: { unit: 'in', denominator: 16 } }))
})

const shown = () => show(RoundWeekView, { day: '2026-11-23', span: 'week' })
const on = (element: HTMLElement, day: string) =>
  [...element.querySelectorAll(`section[aria-label="${day}"] cr-stop-card a`)].map((one) => one.textContent)

it('calls late on a day what was due before it, whether the days shown begin there or earlier', () => {
  const names = (stops: readonly RoundStop[]) => stops.map(({ horse }) => horse.name).sort()
  const month = overdueOn(WEEK, '2026-11-25')
  expect(names(month.overdue.stops)).toEqual(['Auk', 'Fig', 'Late'])
  expect(month.days.flatMap(({ stops }) => stops)).toEqual([])
  // The week as it is asked for from that day.
  const late = [...WEEK.overdue, ...WEEK.days[1]!.stops]
  const week = overdueOn(
    { ...WEEK, from: '2026-11-25', days: WEEK.days.slice(2), overdue: late },
    '2026-11-25',
  )
  expect(loadWords(week.overdue.stops)).toBe(loadWords(month.overdue.stops))
  expect(names(overdueOn(WEEK, '2026-11-23').overdue.stops)).toEqual(['Late'])
})

describe('the week', () => {
  it('tells the load of each day and what each stop needs', async () => {
    const { element, text } = await shown()
    expect(on(element, 'Tue 24 Nov 2026')).toEqual(['Fig', 'Auk'])
    expect(text()).toContain('1 h 35 min and 1 not known')
    expect(text()).toContain('4 of 3/4 x 5/16, together 48"')
    expect(on(element, 'Overdue')).toEqual(['Late'])
  })

  it('a horse is put a day later by a tap, shown at once and kept; overdue ones come on today', async () => {
    const { element, press } = await shown()
    await press('Fig one day later')
    expect(api.moveDue).toHaveBeenCalledWith('Fig', '2026-11-25', '2026-11-24')
    expect(on(element, 'Wed 25 Nov 2026')).toEqual(['Fig'])
    await press('Late one day later')
    expect(on(element, 'Mon 23 Nov 2026')).toEqual(['Late'])
  })

  it('what could not be kept goes back to where it was, and why is said', async () => {
    api.moveDue.mockReturnValue(throwError(() => new HttpErrorResponse({ status: 0 })))
    const { element, press } = await shown()
    await press('Fig one day later')
    expect(on(element, 'Tue 24 Nov 2026')).toEqual(['Fig', 'Auk'])
    expect(tells.warn).toHaveBeenCalledWith(expect.stringContaining('does not answer'))
    // Moved elsewhere meanwhile: the days are read anew.
    const current = { due: '2026-11-28' }
    api.moveDue.mockReturnValue(
      throwError(() => new HttpErrorResponse({ status: 409, error: { errors: [], current } })),
    )
    await press('Fig one day later')
    expect(api.roundWeek).toHaveBeenCalledTimes(2)
  })

  it('is turned on and back; a month begins on its Monday', async () => {
    const { press } = await shown()
    await press('Later')
    expect(api.roundWeek).toHaveBeenLastCalledWith('2026-11-30', 7)
    await show(RoundWeekView, { day: '2026-11-26', span: 'month' })
    expect(api.roundWeek).toHaveBeenLastCalledWith('2026-11-23', 35)
  })
})

describe('days', () => {
  it('keep every horse wherever it is put', () => {
    const moved = withMoved(WEEK, 'Late', '2026-11-24')
    expect(moved.overdue).toEqual([])
    expect(moved.days[1]!.stops.map(({ horse }) => horse.name)).toEqual(['Auk', 'Fig', 'Late'])
    expect(withMoved(WEEK, 'Nobody', '2026-11-24')).toBe(WEEK)
    // Beyond the days that are shown it is out of sight.
    expect(withMoved(WEEK, 'Fig', '2026-12-20').days[1]!.stops).toHaveLength(1)
  })

  it('tell their load in words, and the Monday of a week over the end of a year', () => {
    expect(loadWords([])).toBe('')
    expect(loadWords([stop('A', '', null)])).toBe('time not known')
    expect(loadWords([stop('A', '', 120)])).toBe('2 h')
    expect(loadWords([stop('A', '', 0)])).toBe('0 min')
    expect(mondayOf('2027-01-03')).toBe('2026-12-28')
    expect(mondayOf('2026-12-28')).toBe('2026-12-28')
  })
})
