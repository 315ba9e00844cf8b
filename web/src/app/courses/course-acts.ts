import { inject, Injectable } from '@angular/core'
import type { Side } from '@crescent/core'
import {
  beginCourse,
  stopped,
  withAnswer,
  withStepDone,
  withStepMoved,
  withStepOpened,
  withStepSkipped,
  type Course,
  type CourseEntry,
  type CourseKey,
  type SignAnswer,
} from '@crescent/core/courses'
import { Dialogs } from '../common/dialogs'
import type { BeginDialogData, CourseBegun } from './begin-dialog'
import { HorseCourses } from './horse-courses'
import type { StepAnswer, StepDialogData } from './step-dialog'
import type { StopDialogData } from './stop-dialog'

/** What can be done with the courses of a horse: asked for in a dialog, then kept. */
@Injectable()
export class CourseActs {
  private readonly courses = inject(HorseCourses)
  private readonly dialogs = inject(Dialogs)

  async begin(horseId: string, day: string, side: Side, kind?: CourseKey): Promise<void> {
    const begun = await this.dialogs.ask<CourseBegun, BeginDialogData>(
      () => import('./begin-dialog').then((m) => m.BeginDialog),
      { data: { day, side, ...(kind && { kind }) }, width: '560px' },
    )
    if (!begun) return
    const course = beginCourse({ id: crypto.randomUUID(), horseId, ...begun }, () => crypto.randomUUID())
    await this.courses.put(course, 'The course is begun; its steps stand on the round.')
  }

  async step(course: Course, step: CourseEntry, day: string): Promise<void> {
    const answer = await this.dialogs.ask<StepAnswer, StepDialogData>(
      () => import('./step-dialog').then((m) => m.StepDialog),
      { data: { step, day }, width: '560px' },
    )
    if (!answer) return
    if (answer.act === 'pain') return this.stop(course, day, answer.note, true)
    if (answer.act === 'move') {
      await this.courses.put(withStepMoved(course, step.id, answer.to), 'Put on another day.')
    } else if (answer.act === 'skip') {
      await this.courses.put(withStepSkipped(course, step.id, answer.note, day), 'Left out.')
    } else {
      await this.courses.put(withStepDone(course, step.id, answer), 'Done.')
    }
  }

  async stop(course: Course, day: string, note = '', pain = false): Promise<void> {
    const reason = await this.dialogs.ask<string, StopDialogData>(
      () => import('./stop-dialog').then((m) => m.StopDialog),
      { data: { course, note, pain }, width: '480px' },
    )
    if (reason) await this.courses.put(stopped(course, day, reason), 'Stopped; it asks for nothing more.')
  }

  reopen = (course: Course, step: CourseEntry): Promise<boolean> =>
    this.courses.put(withStepOpened(course, step.id), 'Open again.')

  resume = (course: Course): Promise<boolean> => this.courses.put({ ...course, ended: null }, 'It goes on.')

  answer = (course: Course, day: string, sign: string, answer: SignAnswer): Promise<boolean> =>
    this.courses.put(withAnswer(course, day, sign, answer), 'Kept.')
}
