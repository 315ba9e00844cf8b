import type { CourseKey, SignAnswer } from '@crescent/core/courses'
import { beginCourse, courseKind, openSteps, withAnswer, withStepDone } from '@crescent/core/courses'
import { addDays, type Side } from '@crescent/core'
import { formatISO, subDays } from 'date-fns'
import type { Practice } from '../practice'
import { half, idFor, stamp } from './made-up'

/** A course of the demo, as far as it has come. */
interface MadeUp {
  horse: string
  side: Side
  kind: CourseKey
  /** Begun so many days ago. */
  daysAgo: number
  why: string
  who?: string
  /** Steps that were done, each a day late or early, and what was measured. */
  done: readonly { late: number; value?: number; note?: string }[]
  answers: readonly SignAnswer[]
}

const COURSES: readonly MadeUp[] = [
  {
    ...{ horse: 'Buttercup', side: 'LF', kind: 'laminitis', daysAgo: 37, who: 'Dr Ina Sedge' },
    why: 'Founder after the spring grass; the left fore is the worse.',
    done: [
      { late: 0, value: 11 },
      { late: 0, value: 14 },
    ],
    answers: ['better', 'same'],
  },
  {
    ...{ horse: 'Fallow', side: 'RF', kind: 'club-foot', daysAgo: 26, who: 'Dr Ina Sedge' },
    why: 'Upright since he was a foal; the heel hardly meets the ground.',
    done: [{ late: 0, value: 61, note: 'As far as he stood square.' }],
    answers: ['same'],
  },
  {
    ...{ horse: 'Lantern', side: 'LF', kind: 'road', daysAgo: 40 },
    why: 'Hard-faced for the coach road.',
    done: [{ late: 0, value: half(9.5) }],
    answers: [],
  },
]

/** Courses under way: one step is overdue, others come within the week. */
export function seedCourses(practice: Practice, today: Date): void {
  for (const { horse, side, kind, daysAgo, why, who = '', done, answers } of COURSES) {
    const begun = subDays(today, daysAgo)
    const startedOn = formatISO(begun, { representation: 'date' })
    const id = idFor('course', horse, side, kind)
    let made = 0
    let course = beginCourse({ id, horseId: idFor('horse', horse), side, kind, startedOn, why, who }, () =>
      idFor('step', id, String(++made)),
    )
    for (const { late, value = null, note = '' } of done) {
      const next = openSteps(course)[0]!
      course = withStepDone(course, next.id, { on: addDays(next.date, late), value, note })
    }
    answers.forEach((answer, i) => {
      const day = addDays(startedOn, Math.round(daysAgo * 0.8))
      course = withAnswer(course, day, courseKind(kind).signs[i]!.key, answer)
    })
    practice.courses.bringIn({ ...course, version: 1, ...stamp(begun) })
  }
}
