import { TestBed } from '@angular/core/testing'
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog'
import { provideRouter } from '@angular/router'
import { HttpErrorResponse } from '@angular/common/http'
import {
  answeredOn,
  beginCourse,
  openSteps,
  signsToAsk,
  stopped,
  withAnswer,
  withStepDone,
  type Course,
  type CourseKey,
} from '@crescent/core/courses'
import type { RoundStep } from '@crescent/core'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { RoundSteps } from '../round/round-steps'
import { Dialogs } from '../common/dialogs'
import { Api } from '../state/api'
import { settingsActions } from '../state/settings/settings.feature'
import { show, STORE } from '../testing/samples'
import { BeginDialog } from './begin-dialog'
import { CourseActs } from './course-acts'
import { CourseCard } from './course-card'
import { CourseDue } from './course-due'
import { CourseOffers } from './course-offers'
import { HorseCourses } from './horse-courses'
import { SignsAsked } from './signs-asked'
import { StepDialog } from './step-dialog'
import { StepWordsDialog } from './step-words-dialog'
import { StopDialog } from './stop-dialog'

let made = 0
const begun = (kind: CourseKey = 'expander', startedOn = '2026-03-02'): Course =>
  beginCourse(
    { id: `course-${++made}`, horseId: 'horse', side: 'LF', kind, startedOn },
    () => `step-${++made}`,
  )

const api = { courses: vi.fn(), putCourse: vi.fn() }
const dialogs = { ask: vi.fn() }
const close = vi.fn()
/** What a dialog is opened with. */
let data: object = {}

beforeEach(() => {
  vi.clearAllMocks()
  api.putCourse.mockImplementation((course: Course) => of({ ...course, version: course.version + 1 }))
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      provideRouter([]),
      HorseCourses,
      CourseActs,
      { provide: Api, useValue: api },
      { provide: Dialogs, useValue: dialogs },
      { provide: MatDialogRef, useValue: { close } },
      { provide: MAT_DIALOG_DATA, useFactory: () => data },
    ],
  })
  TestBed.inject(Store).dispatch(settingsActions.change({ changes: { unit: 'in', denominator: 16 } }))
})

describe('the card of a course', () => {
  it('tells what is overdue, what comes, what was measured and what was answered', async () => {
    let course = begun()
    course = withStepDone(course, course.steps[0]!.id, { on: '2026-03-02', value: 31.75 })
    course = withAnswer(course, '2026-03-11', 'soft', 'worse')
    const { element, text } = await show(CourseCard, { course, day: '2026-03-13' })
    const rows = [...element.querySelectorAll('ol li')]
    expect(rows).toHaveLength(5)
    expect(rows[0]!.className).toContain('overdue')
    expect(rows[0]!.textContent).toContain('2 days overdue')
    expect(text()).toContain('resting measure, hole to hole 1 1/4"')
    expect(text()).toContain('Foot kept soft')
    expect(element.querySelector('a')!.getAttribute('href')).toContain('/list?unit=in')
  })

  it('during a visit shows what is due and what comes next, and asks what should have come', async () => {
    const course = begun('wall')
    const { element, text } = await show(CourseCard, { course, day: '2026-04-06', asksSigns: true })
    expect(element.querySelectorAll('ol li')).toHaveLength(4)
    expect(text()).toContain('1 more to come')
    expect(element.querySelectorAll('.sign')).toHaveLength(3)
  })

  it('of a course that was stopped says why, asks for nothing, and lets it go on after all', async () => {
    const course = stopped(begun(), '2026-03-12', 'pain at the second bar')
    const { element, text, press } = await show(CourseCard, { course, day: '2026-04-01', asksSigns: true })
    expect(text()).toContain('stopped 12 Mar 2026: pain at the second bar')
    expect(element.querySelectorAll('ol li, .sign')).toHaveLength(0)
    await press('Go on with it after all')
    expect(api.putCourse).toHaveBeenCalledWith(expect.objectContaining({ ended: null }))
  })
})

describe('what is done with a course', () => {
  it('a step done late is kept with its measure, and the next bar waits as long', async () => {
    const course = begun()
    dialogs.ask.mockResolvedValue({ act: 'done', on: '2026-03-05', value: 30, note: '' })
    await TestBed.inject(CourseActs).step(course, course.steps[0]!, '2026-03-05')
    const kept = api.putCourse.mock.calls[0]![0] as Course
    expect(kept.steps[0]).toMatchObject({ done: '2026-03-05', value: 30 })
    expect(kept.steps[1]!.date).toBe('2026-03-14')
  })

  it('what could not be kept is asked again with all that was typed, and put on the course as it is by then', async () => {
    const course = begun()
    api.courses.mockReturnValue(of([course]))
    const courses = TestBed.inject(HorseCourses)
    courses.open('horse')
    await vi.waitFor(() => expect(courses.list()).toHaveLength(1))
    const answer = { act: 'done', on: '2026-03-05', value: 30, typed: '30', note: 'soft' }
    dialogs.ask.mockResolvedValue(answer)
    const current = { ...course, version: 5, why: 'changed elsewhere' }
    api.putCourse.mockReturnValueOnce(throwError(() => new HttpErrorResponse({ status: 0 })))
    api.putCourse.mockReturnValueOnce(
      throwError(() => new HttpErrorResponse({ status: 409, error: { errors: [], current } })),
    )
    await TestBed.inject(CourseActs).step(course, course.steps[0]!, '2026-03-05')
    expect(dialogs.ask).toHaveBeenCalledTimes(3)
    expect(dialogs.ask.mock.calls[1]![1].data.before).toEqual(answer)
    expect(api.putCourse.mock.calls[2]![0]).toMatchObject({ version: 5, why: 'changed elsewhere' })
    expect(courses.list()![0]!.steps[0]).toMatchObject({ done: '2026-03-05', note: 'soft' })
  })

  it('a step of one’s own is put into it; one of its own is kept in other words, from its dialog', async () => {
    const course = begun()
    const words = { date: '2026-03-05', who: 'owner', label: 'Send a picture', text: '', stops: '' }
    dialogs.ask.mockResolvedValueOnce(words)
    await TestBed.inject(CourseActs).add(course, '2026-03-05')
    const kept = api.putCourse.mock.calls[0]![0] as Course
    expect(kept.steps.at(-1)).toMatchObject({ ...words, done: null })
    dialogs.ask.mockResolvedValueOnce({ act: 'write' }).mockResolvedValueOnce(words)
    await TestBed.inject(CourseActs).step(course, course.steps[1]!, '2026-03-05')
    expect((api.putCourse.mock.calls[1]![0] as Course).steps[1]).toMatchObject({
      id: course.steps[1]!.id,
      label: 'Send a picture',
    })
  })

  it('pain asks for the reason and stops it; thought better of, nothing is kept', async () => {
    const course = begun()
    dialogs.ask
      .mockResolvedValueOnce({ act: 'pain', note: 'pointing' })
      .mockResolvedValueOnce('Pain. pointing')
    await TestBed.inject(CourseActs).step(course, course.steps[0]!, '2026-03-05')
    expect(dialogs.ask.mock.calls[1]![1].data).toMatchObject({ pain: true, note: 'pointing' })
    expect((api.putCourse.mock.calls[0]![0] as Course).ended).toMatchObject({
      how: 'stopped',
      reason: 'Pain. pointing',
    })
    dialogs.ask.mockReset().mockResolvedValue(undefined)
    await TestBed.inject(CourseActs).stop(course, '2026-03-05')
    expect(api.putCourse).toHaveBeenCalledTimes(1)
  })

  it('what was changed elsewhere is shown as it is now', async () => {
    const course = begun()
    api.courses.mockReturnValue(of([course]))
    const courses = TestBed.inject(HorseCourses)
    courses.open('horse')
    await vi.waitFor(() => expect(courses.list()).toHaveLength(1))
    const current = { ...course, version: 5, why: 'changed elsewhere' }
    api.putCourse.mockReturnValue(
      throwError(() => new HttpErrorResponse({ status: 409, error: { errors: [], current } })),
    )
    expect(await courses.put({ ...course, why: 'mine' }, 'Kept.')).toBe(false)
    expect(courses.list()![0]!.why).toBe('changed elsewhere')
    api.courses.mockReturnValue(throwError(() => new HttpErrorResponse({ status: 0 })))
    await courses.read()
    expect(courses.failure()).toContain('does not answer')
  })

  it('follows from what is made, until it runs on this foot', async () => {
    api.courses.mockReturnValue(of([]))
    const given = { horseId: 'horse', side: 'LF', day: '2026-03-02', modifications: ['hinged-expander'] }
    const { text } = await show(CourseOffers, given)
    expect(text()).toContain('Heel expander')
    await TestBed.inject(HorseCourses).put(begun(), 'Kept.')
    const again = await show(CourseOffers, given)
    expect(again.text()).not.toContain('Heel expander')
  })
})

describe('dialogs of a course', () => {
  it('a measure is read in the unit of the hand, an absurd one named with its range and kept', async () => {
    const step = begun().steps[0]!
    data = { step, day: '2026-03-05' }
    const { element, fixture, press, text } = await show(StepDialog)
    const box = element.querySelector<HTMLInputElement>('input.typed:not([type])')!
    const type = async (value: string) => {
      box.value = value
      box.dispatchEvent(new Event('input'))
      await fixture.whenStable()
    }
    await type('900 in')
    await press('Done')
    expect(text()).toContain('Resting measure, hole to hole: from 0" to 15 3/4"')
    expect(box.value).toBe('900 in')
    expect(close).not.toHaveBeenCalled()
    await type('1 1/4')
    await press('Done')
    expect(close).toHaveBeenCalledWith({
      ...{ act: 'done', on: '2026-03-05', value: 31.75, typed: '1 1/4', note: '' },
    })
  })

  it('a step in other words: lengths of the rules stay open where they are not touched', async () => {
    const step = begun().steps[1]!
    data = { step, day: '2026-03-05', first: '2026-03-02' }
    const { element, fixture, press, text } = await show(StepWordsDialog)
    const box = element.querySelector<HTMLInputElement>('input.typed:not([type])')!
    const type = async (value: string) => {
      box.value = value
      box.dispatchEvent(new Event('input'))
      await fixture.whenStable()
    }
    expect(element.querySelector('textarea')!.value).toContain('1/8" longer')
    await type('  ')
    await press('Keep it so')
    expect(text()).toContain('what is to be done?')
    expect(close).not.toHaveBeenCalled()
    await type('Second bar, at the yard')
    await press('Keep it so')
    expect(close).toHaveBeenCalledWith({
      ...{ date: step.date, who: 'farrier', label: 'Second bar, at the yard' },
      ...{ text: step.text, stops: step.stops },
    })
  })

  it('stopping needs a reason', async () => {
    data = { course: begun(), pain: false, note: '' }
    const { element, fixture, press, text } = await show(StopDialog)
    await press('Stop it')
    expect(text()).toContain('Say why')
    const box = element.querySelector('textarea')!
    box.value = 'owner sold the horse'
    box.dispatchEvent(new Event('input'))
    await fixture.whenStable()
    await press('Stop it')
    expect(close).toHaveBeenCalledWith('owner sold the horse')
  })

  it('begins what was chosen, with the vet only where one leads', async () => {
    data = { day: '2026-03-02', side: 'RH', kind: 'road' }
    const { press, text } = await show(BeginDialog)
    expect(text()).not.toContain('Which vet leads')
    await press('Begin it')
    expect(close).toHaveBeenCalledWith({
      kind: 'road',
      side: 'RH',
      startedOn: '2026-03-02',
      why: '',
      who: '',
    })
  })
})

describe('nothing is forgotten', () => {
  it('one line at the Bench says what is due first, and leads to its foot', async () => {
    const course = begun()
    api.courses.mockReturnValue(of([course]))
    const looked: string[] = []
    const { fixture, text, press } = await show(CourseDue, { horseId: 'horse', day: '2026-03-12' })
    fixture.componentInstance.look.subscribe((side) => looked.push(side))
    expect(text()).toContain('LF Cross bar 1: 10 days overdue, and 1 more')
    await press(/Cross bar 1/)
    expect(looked).toEqual(['LF'])
  })

  it('a sign is asked once, and what was answered stands there', async () => {
    const course = begun('abscess')
    const day = '2026-03-10'
    const given = (now: Course) => ({ asked: signsToAsk(now, day), given: answeredOn(now, day) })
    const answers: unknown[] = []
    const { fixture, element } = await show(SignsAsked, given(course))
    fixture.componentInstance.answered.subscribe((answer) => answers.push(answer))
    element.querySelectorAll('button')[2]!.click()
    expect(answers).toEqual([{ key: 'dry', answer: 'worse' }])
    for (const [input, value] of Object.entries(given(withAnswer(course, day, 'dry', 'worse'))))
      fixture.componentRef.setInput(input, value)
    await fixture.whenStable()
    expect(element.querySelectorAll('.sign')).toHaveLength(1)
    expect(element.textContent).toContain('worse')
  })

  it('stands on the round, late ones apart, lengths in the chosen unit', async () => {
    const step = openSteps(begun())[1]!
    const on = (date: string, id: string): RoundStep => ({
      ...{
        id,
        courseId: 'c',
        horseId: 'horse',
        horse: 'Fig',
        place: 'Eel Bay',
        side: 'LF',
        kind: 'expander',
      },
      ...{
        date,
        who: step.who,
        label: ['Bar ', { length: 3.175, as: 'fine' }],
        text: step.text,
        changed: '',
      },
    })
    const { element } = await show(RoundSteps, {
      steps: [on('2026-03-01', 'a'), on('2026-03-05', 'b')],
      day: '2026-03-03',
    })
    const rows = [...element.querySelectorAll('li')]
    expect(rows.map((row) => row.classList.contains('late'))).toEqual([true, false])
    expect(rows[0]!.textContent).toContain('Bar 1/8"')
    expect(rows[1]!.textContent).toContain('due in 2 days')
  })
})
