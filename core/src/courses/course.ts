import { problem, type Problem } from '../notices/problem'
import type { Course, CourseEntry } from '../records/course'
import { addDays, daysBetween } from '../terms/days'
import type { CourseKey } from '../terms/courses'
import type { Side } from '../terms/sides'
import { levelsOf, SAID, verdictOf, type Sign, type SignAnswer, type SignLine } from '../terms/signs'
import { courseKind } from './index'
import { stepRules, type CourseFigures } from './kind'
import { openSteps } from './steps'

/** What a course is begun with. */
export interface Begun {
  id: string
  horseId: string
  side: Side
  kind: CourseKey
  startedOn: string
  why?: string
  who?: string
  /** Of the modification it follows from, as it stands on the shoe. */
  figures?: CourseFigures
}

/**
 * A course as its rules have it, from a day on.
 *
 * @param newId an id for each step
 */
export function beginCourse({ why = '', who = '', figures, ...begun }: Begun, newId: () => string): Course {
  return {
    ...begun,
    version: 0,
    ...{ why, who, answers: [], ended: null, archived: false },
    steps: stepRules(courseKind(begun.kind), figures).map(
      ({ day, measure, text = '', stops = '', ...rule }): CourseEntry => ({
        id: newId(),
        date: addDays(begun.startedOn, day),
        ...{ who: rule.who, label: rule.label, text, stops },
        ...(measure && { measure }),
        ...{ done: null, value: null, note: '', skipped: false },
      }),
    ),
  }
}

/** What came of a step. */
export interface StepDone {
  on: string
  value?: number | null
  note?: string
}

/**
 * The course with a step done. Where its steps go in turn, one that was late puts off all open ones after it by as many
 * days: none comes sooner after the last than its rules have it.
 */
export function withStepDone(
  course: Course,
  stepId: string,
  { on, value = null, note = '' }: StepDone,
): Course {
  const step = course.steps.find(({ id }) => id === stepId)
  if (!step) return course
  const done = course.steps.map((one) =>
    one === step ? { ...one, done: on, value, note, skipped: false } : one,
  )
  const late = daysBetween(step.date, on)
  const moved = courseKind(course.kind).inTurn && late > 0 ? later(done, step, late) : done
  return ended({ ...course, steps: moved }, on)
}

/** Open steps that come after one, so many days later. */
const later = (steps: readonly CourseEntry[], after: CourseEntry, days: number): CourseEntry[] =>
  steps.map((one) =>
    one.done === null && !one.skipped && one.date > after.date
      ? { ...one, date: addDays(one.date, days) }
      : one,
  )

/** A step left out: nobody is reminded of it again. */
export const withStepSkipped = (course: Course, stepId: string, note: string, on: string): Course =>
  ended(
    {
      ...course,
      steps: course.steps.map((one) => (one.id === stepId ? { ...one, skipped: true, note } : one)),
    },
    on,
  )

/**
 * A step put on another day. Where the steps go in turn, one that is put off puts off all open ones after it by as many
 * days: none comes sooner after the last than its rules have it.
 */
export function withStepMoved(course: Course, stepId: string, date: string): Course {
  const step = course.steps.find(({ id }) => id === stepId)
  if (!step) return course
  const put = daysBetween(step.date, date)
  const moved = courseKind(course.kind).inTurn && put > 0 ? later(course.steps, step, put) : course.steps
  return { ...course, steps: moved.map((one) => (one.id === stepId ? { ...one, date } : one)) }
}

/** What a hand may write into a step, or write otherwise than the rules have it. */
export type StepWords = Pick<CourseEntry, 'date' | 'who' | 'label' | 'text' | 'stops'>

/** The course with a step of one's own; one that had come to its end goes on with it, one that was stopped stays so. */
export const withStepAdded = (course: Course, id: string, words: StepWords): Course => ({
  ...course,
  ended: course.ended?.how === 'done' ? null : course.ended,
  steps: [...course.steps, { id, ...words, done: null, value: null, note: '', skipped: false }],
})

/** A step in other words, by somebody else or on another day; what was measured at it stays. */
export const withStepWritten = (course: Course, stepId: string, words: StepWords): Course => ({
  ...course,
  steps: course.steps.map((one) => (one.id === stepId ? { ...one, ...words } : one)),
})

/** A step that was done or left out is open again. */
export const withStepOpened = (course: Course, stepId: string): Course => ({
  ...course,
  ended: course.ended?.how === 'done' ? null : course.ended,
  steps: course.steps.map((one) =>
    one.id === stepId ? { ...one, done: null, value: null, skipped: false } : one,
  ),
})

/** Once nothing is open any more it is done. */
const ended = (course: Course, on: string): Course =>
  course.ended || openSteps(course).length > 0
    ? course
    : { ...course, ended: { on, how: 'done', reason: '' } }

/** The course stopped: it asks for nothing more, and why stands with it. @param pain it hurt: the foot is not done with */
export const stopped = (course: Course, on: string, reason: string, pain = false): Course => ({
  ...course,
  ended: { on, how: 'stopped', reason, ...(pain && { pain: true as const }) },
})

/** What was done about the pain a course was stopped for: from then on it is history. */
export const painSettled = (course: Course, words: string): Course =>
  course.ended ? { ...course, ended: { ...course.ended, settled: words } } : course

/** A course was stopped because it hurt; those from before that was asked say so in their reason. */
const hurt = ({ ended: end }: Course): boolean =>
  end?.how === 'stopped' && (end.pain === true || /^pain\b/i.test(end.reason))

/** The courses of a foot that were stopped for pain, and nobody has said yet what came of it; the newest first. */
export const stoppedForPain = (courses: readonly Course[], side: Side): Course[] =>
  courses
    .filter((one) => one.side === side && !one.archived && hurt(one) && !one.ended!.settled)
    .sort((a, b) => (a.ended!.on < b.ended!.on ? 1 : -1))

/** Signs that were not asked for yet on a day: of a course that runs, and was begun before that day. */
export function signsToAsk(course: Course, on: string): Sign[] {
  if (course.ended || course.archived || course.startedOn >= on) return []
  const answered = new Set(course.answers.filter((one) => one.on === on).map(({ sign }) => sign))
  return courseKind(course.kind).signs.filter(({ key }) => !answered.has(key))
}

/** What was answered on a day, as it is told. */
export const answeredOn = ({ kind, answers }: Course, on: string): { asks: string; said: string }[] =>
  answers
    .filter((one) => one.on === on)
    .map(({ sign, answer }) => ({
      asks: courseKind(kind).signs.find(({ key }) => key === sign)?.asks ?? sign,
      said: SAID[answer],
    }))

/** The course with a sign answered; one answer a day. */
export const withAnswer = (course: Course, on: string, sign: string, answer: SignAnswer): Course => ({
  ...course,
  answers: [...course.answers.filter((one) => one.on !== on || one.sign !== sign), { on, sign, answer }].sort(
    (a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0),
  ),
})

/** Signs of a course that were answered, each over time. */
export const signLines = ({ kind, startedOn, answers }: Course): SignLine[] =>
  courseKind(kind).signs.flatMap(({ key, asks }) => {
    const own = answers.filter(({ sign }) => sign === key)
    return own.length > 0 ? [{ asks, answers: own, points: levelsOf(own, startedOn) }] : []
  })

/** What the answers say should be done: worse twice running calls for stopping; no better three times for another way. */
export function answersSay(course: Course): string[] {
  const { signs, stops } = courseKind(course.kind)
  return signs.flatMap(({ key, asks }) => {
    const answers = course.answers.filter(({ sign }) => sign === key).map(({ answer }) => answer)
    const verdict = verdictOf(answers)
    if (verdict === 'worse')
      return [
        `${asks}: worse at two visits running. Stop and agree with the vet how to go on. ${stops[0] ?? ''}`.trim(),
      ]
    if (verdict === 'no better')
      return [`${asks}: no better at three visits. Look for another way, or give it an end.`]
    return []
  })
}

/** What cannot be of a course, though its form is right. */
export function courseProblems(course: Course): Problem[] {
  const { startedOn, steps, ended: end } = course
  const problems: Problem[] = []
  steps.forEach(({ date, done, label }, i) => {
    if (typeof label === 'string' && label.trim() === '')
      problems.push(problem(`steps.${i}.label`, 'A step needs a few words: what is to be done'))
    if (date < startedOn)
      problems.push(problem(`steps.${i}.date`, `A step lies on or after the first day, ${startedOn}`))
    if (done !== null && done < startedOn)
      problems.push(problem(`steps.${i}.done`, `It cannot have been done before the first day, ${startedOn}`))
  })
  if (end && end.on < startedOn)
    problems.push(problem('ended.on', `It cannot have ended before the first day, ${startedOn}`))
  if (end?.how === 'stopped' && end.reason.trim() === '')
    problems.push(
      problem('ended.reason', 'Say why it was stopped: the next one to look at this foot must know'),
    )
  return problems
}
