import { inject, Injectable } from '@angular/core'
import { currentPatterns, sentence, type Side } from '@crescent/core'
import {
  beginCourse,
  courseKind,
  painSettled,
  stopped,
  withAnswer,
  withStepAdded,
  withStepDone,
  withStepMoved,
  withStepOpened,
  withStepSkipped,
  withStepWritten,
  type Course,
  type CourseEntry,
  type CourseFigures,
  type CourseKey,
  type SignAnswer,
  type StepWords,
} from '@crescent/core/courses'
import { Store } from '@ngrx/store'
import { Dialogs } from '../common/dialogs'
import type { ReasonAsked } from '../common/reason-dialog'
import { untilKept } from '../common/until-kept'
import { benchFeature } from '../state/bench/bench.feature'
import { lookFeature } from '../state/look/look.feature'
import { recordsFeature } from '../state/records/records.feature'
import type { BeginDialogData, CourseBegun } from './begin-dialog'
import { HorseCourses } from './horse-courses'
import type { StepAnswer, StepDialogData } from './step-dialog'
import type { StepWordsData } from './step-words-dialog'
import type { StopDialogData } from './stop-dialog'

const optional = (figures: CourseFigures | undefined) => (figures ? { figures } : {})

/** What can be done with the courses of a horse: asked for in a dialog, then kept. */
@Injectable()
export class CourseActs {
  private readonly courses = inject(HorseCourses)
  private readonly dialogs = inject(Dialogs)
  private readonly store = inject(Store)

  async begin(horseId: string, day: string, side: Side, kind?: CourseKey): Promise<void> {
    const id = crypto.randomUUID()
    await untilKept<CourseBegun>(
      (before) =>
        this.dialogs.ask<CourseBegun, BeginDialogData>(
          () => import('./begin-dialog').then((m) => m.BeginDialog),
          {
            data: {
              day,
              side,
              vet: this.vetOf(horseId),
              figures: this.figuresOf(horseId),
              ...(kind && { kind }),
              ...(before && { before }),
            },
            width: '560px',
          },
        ),
      (begun) =>
        this.courses.put(
          beginCourse({ id, horseId, ...begun, ...optional(this.figuresOf(horseId)(begun)) }, () =>
            crypto.randomUUID(),
          ),
          'The course is begun; its steps stand on the round.',
        ),
    )
  }

  /** The vet who was named when this horse was looked at last, as far as it is known here. */
  private vetOf(horseId: string): string {
    const onBench = this.store.selectSignal(benchFeature.selectPage)()?.horse.id === horseId
    if (onBench) return this.store.selectSignal(lookFeature.selectLook)()?.vet.who ?? ''
    const page = this.store.selectSignal(recordsFeature.selectPage)()
    return page?.horse.id === horseId ? (page.looks[0]?.vet.who ?? '') : ''
  }

  /** Figures of what is on the shoe of a foot, for a course that follows from it: as on the Bench, else as it is worn. */
  private figuresOf =
    (horseId: string) =>
    ({ kind, side }: Pick<CourseBegun, 'kind' | 'side'>): CourseFigures | undefined => {
      const follows = courseKind(kind).follows.modifications ?? []
      const onBench = this.store.selectSignal(benchFeature.selectPage)()?.horse.id === horseId
      const page = this.store.selectSignal(recordsFeature.selectPage)()
      const worn = page?.horse.id === horseId ? currentPatterns(page.patterns, page.visits)[side] : undefined
      const shoe = onBench ? this.store.selectSignal(benchFeature.selectDrafts)()?.[side].shoe : worn?.shoe
      return shoe?.modifications?.find((one) => follows.includes(one.kind))
    }

  /** What came of a course that was stopped for pain: from then on it is history. */
  async settle(course: Course): Promise<void> {
    const { reason } = course.ended!
    const data: ReasonAsked = {
      title: 'What came of it?',
      against: [sentence(reason)],
      label: 'What was found and done, and who said so',
      yes: 'Keep it',
      no: 'Not yet',
    }
    const words = await this.dialogs.ask<string, ReasonAsked>(
      () => import('../common/reason-dialog').then((m) => m.ReasonDialog),
      { data, width: '460px' },
    )
    if (words) await this.courses.put(painSettled(this.current(course), words), 'Kept with the course.')
  }

  async step(course: Course, step: CourseEntry, day: string): Promise<void> {
    let next: (() => Promise<void>) | undefined
    await untilKept<StepAnswer>(
      (before) =>
        this.dialogs.ask<StepAnswer, StepDialogData>(
          () => import('./step-dialog').then((m) => m.StepDialog),
          { data: { step, day, ...(before && { before }) }, width: '560px' },
        ),
      async (answer) => {
        const now = this.current(course)
        if (answer.act === 'pain') next = () => this.stop(course, day, answer.note, true)
        else if (answer.act === 'write') next = () => this.write(course, step, day)
        else if (answer.act === 'move')
          return this.courses.put(withStepMoved(now, step.id, answer.to), 'Put on another day.')
        else if (answer.act === 'skip')
          return this.courses.put(withStepSkipped(now, step.id, answer.note, day), 'Left out.')
        else return this.courses.put(withStepDone(now, step.id, answer), 'Done.')
        return true
      },
    )
    await next?.()
  }

  /** A step of one's own is put into it. */
  async add(course: Course, day: string): Promise<void> {
    const id = crypto.randomUUID()
    await this.words({ day, first: course.startedOn }, (words) =>
      this.courses.put(withStepAdded(this.current(course), id, words), 'Added; it stands on the round.'),
    )
  }

  private async write(course: Course, step: CourseEntry, day: string): Promise<void> {
    await this.words({ day, first: course.startedOn, step }, (words) =>
      this.courses.put(withStepWritten(this.current(course), step.id, words), 'Kept in your words.'),
    )
  }

  private words = (data: StepWordsData, keep: (words: StepWords) => Promise<boolean>): Promise<boolean> =>
    untilKept<StepWords>(
      (before) =>
        this.dialogs.ask<StepWords, StepWordsData>(
          () => import('./step-words-dialog').then((m) => m.StepWordsDialog),
          { data: { ...data, ...(before && { before }) }, width: '560px' },
        ),
      keep,
    )

  async stop(course: Course, day: string, note = '', pain = false): Promise<void> {
    await untilKept<string>(
      (before) =>
        this.dialogs.ask<string, StopDialogData>(() => import('./stop-dialog').then((m) => m.StopDialog), {
          data: { course, note, pain, ...(before && { before }) },
          width: '480px',
        }),
      (reason) =>
        this.courses.put(
          stopped(this.current(course), day, reason, pain),
          'Stopped; it asks for nothing more.',
        ),
    )
  }

  /** As it is now: it may have been changed elsewhere while it was asked about. */
  private current = (course: Course): Course =>
    this.courses.list()?.find(({ id }) => id === course.id) ?? course

  reopen = (course: Course, step: CourseEntry): Promise<boolean> =>
    this.courses.put(withStepOpened(course, step.id), 'Open again.')

  resume = (course: Course): Promise<boolean> => this.courses.put({ ...course, ended: null }, 'It goes on.')

  answer = (course: Course, day: string, sign: string, answer: SignAnswer): Promise<boolean> =>
    this.courses.put(withAnswer(course, day, sign, answer), 'Kept.')
}
