import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inMm, made } from '../testing/made'
import { PLAIN_SHOE } from '../testing/samples'
import { MODIFICATIONS } from '../modifications/index'
import { courseSchema, type Course } from '../records/course'
import { COURSE_KEYS, type CourseKey } from '../terms/courses'
import { SIGN_ANSWERS } from '../terms/signs'
import { addDays, daysBetween } from '../terms/days'
import { ADVICE_RULES } from '../advice/rules/index'
import {
  answersSay,
  beginCourse,
  courseProblems,
  signLines,
  painSettled,
  signsToAsk,
  stopped,
  stoppedForPain,
  withAnswer,
  withStepAdded,
  withStepDone,
  withStepMoved,
  withStepOpened,
  withStepSkipped,
  withStepWritten,
  type StepWords,
} from './course'
import { COURSES, courseKind, coursesFor } from './index'
import { ownerList } from './owner-list'
import { openSteps, stepState } from './steps'

let ids = 0
const newId = () => `00000000-0000-4000-8000-${String(++ids).padStart(12, '0')}`
const begun = (kind: CourseKey, startedOn = '2026-03-02'): Course =>
  beginCourse({ id: newId(), horseId: newId(), side: 'LF', kind, startedOn }, newId)
const days = (course: Course) => course.steps.map(({ date }) => date)

describe('days', () => {
  it('go over leap days, the change of clocks and the end of a year, by hand', () => {
    expect(addDays('2028-02-27', 3)).toBe('2028-03-01')
    expect(addDays('2027-02-27', 3)).toBe('2027-03-02')
    // Clocks change in the night to 29 March 2026 in much of Europe, to 8 March in much of America.
    expect(addDays('2026-03-28', 2)).toBe('2026-03-30')
    expect(addDays('2026-03-07', 2)).toBe('2026-03-09')
    expect(addDays('2026-12-25', 14)).toBe('2027-01-08')
    expect(daysBetween('2028-02-01', '2028-03-01')).toBe(29)
  })

  it('there and back is where one was', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000 }), fc.integer({ min: -900, max: 900 }), (from, by) => {
        const day = addDays('2000-01-01', from)
        expect(daysBetween(day, addDays(day, by))).toBe(by)
        expect(addDays(addDays(day, by), -by)).toBe(day)
      }),
    )
  })
})

describe('the rules', () => {
  it('are there for every course, follow only from what exists, and are stored as they stand', () => {
    expect(COURSES.map(({ key }) => key).sort()).toEqual([...COURSE_KEYS].sort())
    const modifications = MODIFICATIONS.map(({ kind }) => kind)
    const advice = ADVICE_RULES.map(({ code }) => code)
    for (const { key, follows, signs, steps, pain, meanwhile } of COURSES) {
      expect(modifications).toEqual(expect.arrayContaining([...(follows.modifications ?? [])]))
      expect(advice).toEqual(expect.arrayContaining([...(follows.advice ?? [])]))
      expect(Math.min(signs.length, steps.length, pain.length, meanwhile.length), key).toBeGreaterThan(0)
      expect(steps.map(({ day }) => day)).toEqual(steps.map(({ day }) => day).sort((a, b) => a - b))
      const course = begun(key)
      expect(courseSchema.safeParse(course).error?.issues ?? [], key).toEqual([])
      expect(courseProblems(course)).toEqual([])
    }
  })

  it('an expander: four bars 7 to 10 days apart, off after about 90 days', () => {
    const course = begun('expander')
    expect(days(course)).toEqual([
      '2026-03-02',
      '2026-03-11',
      '2026-03-20',
      '2026-03-29',
      '2026-04-16',
      '2026-05-31',
    ])
    expect(inMm(course.steps[1]!.text)).toContain('3.2 mm longer')
    expect(course.steps[0]!.measure).toEqual({ label: 'Resting measure, hole to hole', kind: 'length' })
    expect(course.steps[1]!.stops).toContain('Pain')
  })

  it('follow from what is made and what was advised, the surest first', () => {
    expect(coursesFor(['hinged-expander'], []).map(({ key }) => key)).toEqual(['expander'])
    expect(coursesFor(['heart-bar'], ['founder-heart-bar']).map(({ key }) => key)).toEqual([
      'wall',
      'laminitis',
    ])
    expect(coursesFor(['toe-clip'], [])).toEqual([])
  })
})

describe('a course', () => {
  it('done late puts off what comes after it, done early nothing', () => {
    const course = begun('expander')
    const late = withStepDone(course, course.steps[1]!.id, { on: '2026-03-14', value: 33 })
    expect(late.steps[1]).toMatchObject({ done: '2026-03-14', value: 33 })
    // Three days late: bar 3 comes nine days after bar 2 all the same.
    expect(days(late).slice(2)).toEqual(['2026-03-23', '2026-04-01', '2026-04-19', '2026-06-03'])
    expect(days(late).slice(0, 2)).toEqual(days(course).slice(0, 2))
    const early = withStepDone(course, course.steps[1]!.id, { on: '2026-03-10' })
    expect(days(early)).toEqual(days(course))
    // Where steps do not go in turn, none waits for another.
    const plate = begun('hospital-plate')
    expect(days(withStepDone(plate, plate.steps[1]!.id, { on: '2026-03-09' }))).toEqual(days(plate))
  })

  it('a step that goes in turn and is put off puts off what comes after it: never sooner than its rules have it', () => {
    const course = begun('expander')
    const off = withStepMoved(course, course.steps[1]!.id, addDays(course.steps[1]!.date, 4))
    expect(days(off)).toEqual([
      course.steps[0]!.date,
      ...course.steps.slice(1).map(({ date }) => addDays(date, 4)),
    ])
    // Brought forward it alone moves.
    const sooner = withStepMoved(course, course.steps[1]!.id, addDays(course.steps[1]!.date, -2))
    expect(days(sooner).slice(2)).toEqual(days(course).slice(2))
    // Steps that do not go in turn stay where they are.
    const abscess = begun('abscess')
    const later = withStepMoved(abscess, abscess.steps[1]!.id, addDays(abscess.steps[1]!.date, 3))
    expect(days(later).slice(2)).toEqual(days(abscess).slice(2))
  })

  it('has as many bars as the shoe, on the days the shoe says', () => {
    for (const [bars, between] of [
      [6, 14],
      [4, 9],
      [8, 7],
    ] as const) {
      const shoe = { kind: 'hinged-expander', bars, days: between }
      const plan = made([shoe], { section: { ...PLAIN_SHOE.section, thickness: 6.35 } })
      const course = beginCourse(
        {
          ...{ id: newId(), horseId: newId(), side: 'LF', kind: 'expander' },
          startedOn: '2026-03-02',
          figures: shoe,
        },
        newId,
      )
      const told = plan.modifications[0]!.course
      const fitted = course.steps.filter(
        ({ label }) => typeof label === 'string' && label.startsWith('Cross bar'),
      )
      expect(fitted.map(({ date }) => daysBetween('2026-03-02', date))).toEqual(
        told.map(({ fromDay }) => fromDay),
      )
      expect(fitted.map(({ label }) => label)).toEqual(told.map(({ label }) => label))
      // What comes after the set never comes before its last bar.
      expect(days(course)).toEqual([...days(course)].sort())
    }
  })

  it('stopped for pain stands with the foot until somebody says what came of it', () => {
    const course = begun('expander')
    const hurt = stopped(course, '2026-03-20', 'Pain. Going short since bar 2', true)
    expect(stoppedForPain([hurt], 'LF')).toEqual([hurt])
    expect(stoppedForPain([hurt], 'RF')).toEqual([])
    expect(stoppedForPain([stopped(course, '2026-03-20', 'Sold')], 'LF')).toEqual([])
    // One that was stored before that was asked says so in its words.
    expect(stoppedForPain([stopped(course, '2026-03-20', 'Pain at the heels')], 'LF')).toHaveLength(1)
    expect(stoppedForPain([painSettled(hurt, 'Bar out, sound after a week')], 'LF')).toEqual([])
    expect(courseSchema.parse(painSettled(hurt, 'Sound'))).toMatchObject({
      ended: { pain: true, settled: 'Sound' },
    })
  })

  it('asks for its open steps, none once it is stopped, and why stands with it', () => {
    const course = begun('laminitis')
    expect(openSteps(course)).toHaveLength(course.steps.length)
    expect(stepState(course.steps[0]!, '2026-03-03')).toBe('overdue')
    expect(stepState(course.steps[0]!, '2026-03-02')).toBe('today')
    expect(stepState(course.steps[0]!, '2026-03-01')).toBe('coming')
    const end = stopped(course, '2026-03-20', 'pain')
    expect(openSteps(end)).toEqual([])
    expect(signsToAsk(end, '2026-04-20')).toEqual([])
    expect(openSteps({ ...course, archived: true })).toEqual([])
    expect(courseProblems(stopped(course, '2026-03-20', ' ')).map(({ path }) => path)).toEqual([
      'ended.reason',
    ])
    expect(courseProblems(stopped(course, '2026-01-01', 'pain')).map(({ path }) => path)).toEqual([
      'ended.on',
    ])
  })

  it('is done when nothing is open any more, whatever was left out, and opens again', () => {
    let course = begun('abscess')
    for (const { id, date } of course.steps.slice(1)) course = withStepDone(course, id, { on: date })
    expect(course.ended).toBeNull()
    course = withStepSkipped(course, course.steps[0]!.id, 'drained by itself', '2026-03-12')
    expect(course.ended).toMatchObject({ on: '2026-03-12', how: 'done' })
    course = withStepOpened(course, course.steps[3]!.id)
    expect(course.ended).toBeNull()
    expect(openSteps(course).map(({ id }) => id)).toEqual([course.steps[3]!.id])
    const moved = withStepMoved(course, course.steps[3]!.id, '2026-01-01')
    expect(courseProblems(moved).map(({ path }) => path)).toEqual(['steps.3.date'])
  })

  it('takes steps of one’s own, and its own in other words', () => {
    const words: StepWords = {
      date: '2026-03-05',
      who: 'owner',
      label: 'Send a picture',
      text: 'Of the sole',
      stops: '',
    }
    const own = withStepAdded(begun('expander'), newId(), words)
    // It stands where its day is: after the first bar, before the second.
    expect(openSteps(own).map(({ label }) => label)[1]).toBe('Send a picture')
    expect(courseSchema.safeParse(own).success).toBe(true)
    const bar = own.steps[1]!
    const written = withStepWritten(own, bar.id, { ...words, who: 'vet', label: 'Bar 2, with the vet' })
    expect(written.steps[1]).toMatchObject({ id: bar.id, who: 'vet', measure: bar.measure })
    expect(written.steps).toHaveLength(own.steps.length)
    expect(
      courseProblems(withStepAdded(own, newId(), { ...words, label: ' ' })).map(({ path }) => path),
    ).toEqual([`steps.${own.steps.length}.label`])
    // What had come to its end goes on; what was stopped does not by itself.
    const over = { ...own, ended: { on: '2026-06-01', how: 'done' as const, reason: '' } }
    expect(withStepAdded(over, newId(), words).ended).toBeNull()
    expect(withStepAdded(stopped(own, '2026-03-20', 'pain'), newId(), words).ended).not.toBeNull()
  })

  it('asks its signs one by one at a later visit, each once a day', () => {
    const course = begun('wall')
    expect(signsToAsk(course, '2026-03-02')).toEqual([])
    expect(signsToAsk(course, '2026-04-06').map(({ key }) => key)).toEqual([
      'closing',
      'frog-sound',
      'nails-hold',
    ])
    const one = withAnswer(course, '2026-04-06', 'closing', 'better')
    expect(signsToAsk(one, '2026-04-06')).toHaveLength(2)
    expect(signsToAsk(one, '2026-05-11')).toHaveLength(3)
    // Thought better of: the later answer of a day stands.
    expect(withAnswer(one, '2026-04-06', 'closing', 'same').answers).toEqual([
      { on: '2026-04-06', sign: 'closing', answer: 'same' },
    ])
  })

  it('answers make a line, and what they say changes what is advised', () => {
    let course = begun('wall')
    const visits = ['2026-04-06', '2026-05-11', '2026-06-15']
    for (const [i, answer] of (['better', 'worse', 'worse'] as const).entries())
      course = withAnswer(course, visits[i]!, 'closing', answer)
    const lines = signLines(course)
    expect(lines).toHaveLength(1)
    expect(lines[0]!.points).toEqual([
      { on: '2026-03-02', level: 0 },
      { on: '2026-04-06', level: 1 },
      { on: '2026-05-11', level: 0 },
      { on: '2026-06-15', level: -1 },
    ])
    expect(answersSay(course)).toHaveLength(1)
    expect(answersSay(course)[0]).toContain('worse at two visits running')
    let still = begun('wall')
    for (const visit of visits) still = withAnswer(still, visit, 'nails-hold', 'same')
    expect(answersSay(still)[0]).toContain('no better at three visits')
    expect(answersSay(withAnswer(still, '2026-07-20', 'nails-hold', 'better'))).toEqual([])
  })

  it('whatever is done to it, in whatever order, is stored and never loses a step', () => {
    const acts = fc.array(
      fc.record({
        act: fc.constantFrom('done', 'skip', 'move', 'open', 'answer'),
        step: fc.nat(20),
        day: fc.integer({ min: 0, max: 200 }),
        answer: fc.constantFrom(...SIGN_ANSWERS),
      }),
      { maxLength: 25 },
    )
    fc.assert(
      fc.property(fc.constantFrom(...COURSE_KEYS), acts, (kind, list) => {
        let course = begun(kind)
        const count = course.steps.length
        for (const { act, step, day, answer } of list) {
          const { id } = course.steps[step % count]!
          const on = addDays(course.startedOn, day)
          if (act === 'done') course = withStepDone(course, id, { on })
          if (act === 'skip') course = withStepSkipped(course, id, '', on)
          if (act === 'move') course = withStepMoved(course, id, on)
          if (act === 'open') course = withStepOpened(course, id)
          if (act === 'answer') course = withAnswer(course, on, courseKind(kind).signs[0]!.key, answer)
        }
        expect(course.steps).toHaveLength(count)
        expect(courseSchema.safeParse(course).success).toBe(true)
        expect(courseProblems(course)).toEqual([])
        expect(course.ended === null).toBe(openSteps({ ...course, ended: null }).length > 0)
      }),
      { numRuns: 200, seed: 14 },
    )
  })
})

describe('the owner’s list', () => {
  const list = (course: Course) =>
    ownerList(course, (date) => `day ${date}`)
      .map(({ title, lines }) => `${title}\n${lines.map(inMm).join('\n')}`)
      .join('\n')

  it('says what to do daily, when who comes, what pain looks like and whom to call', () => {
    const words = list({ ...begun('hospital-plate'), who: 'Dr Saltmarsh' })
    expect(words).toContain('Tighten the screws every day')
    expect(words).toContain('day 2026-03-04, you: First dressing')
    expect(words).toContain('day 2026-03-16, the vet')
    expect(words).toContain('call the vet, Dr Saltmarsh, first')
    expect(words).toContain('left fore')
  })

  it('says what is in or on the foot, and why', () => {
    const told = ownerList(begun('abscess'), (date) => date, [
      { what: 'packing', why: 'drains still' },
      { what: 'dressing', why: '' },
    ])
    expect(told.find(({ title }) => title === 'What is in or on the foot')!.lines).toEqual([
      'Packing: drains still.',
      'Dressing.',
    ])
  })

  it('ends a sentence once, however it was typed', () => {
    const course = begun('expander')
    const words = (reason: string) =>
      ownerList(stopped(course, '2026-03-20', reason), (date) => date)
        .flatMap(({ lines }) => lines.map(inMm))
        .find((line) => line.startsWith('Stopped'))
    expect(words('Pain.')).toBe('Stopped on 2026-03-20: Pain.')
    expect(words('Pain')).toBe('Stopped on 2026-03-20: Pain.')
    expect(words('Pain!')).toBe('Stopped on 2026-03-20: Pain!')
  })

  it('of a course that was stopped says so and asks for nothing', () => {
    const words = list(stopped(begun('expander'), '2026-03-20', 'pain at the second bar'))
    expect(words).toContain('Stopped on day 2026-03-20: pain at the second bar')
    expect(words).not.toContain('Cross bar')
  })
})
