import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import { openSteps, stepState, type Side } from '@crescent/core'
import { FigureText } from '../drawing/figure-text'
import { dueText } from '../common/today'
import { HorseCourses } from './horse-courses'

/** What a course asks of this horse by now, in one line: nothing where nothing is due. */
@Component({
  selector: 'cr-course-due',
  imports: [MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (due(); as first) {
      <button type="button" [class.overdue]="first.overdue" (click)="look.emit(first.side)">
        <mat-icon svgIcon="caution" aria-hidden="true" />{{ first.words }}
      </button>
    }
  `,
  styles: `
    button {
      display: flex;
      gap: 6px;
      align-items: center;
      width: 100%;
      min-height: 44px;
      padding: 6px 12px;
      color: inherit;
      font: inherit;
      font-weight: 650;
      text-align: left;
      background: var(--caution-wash);
      border: 0;
      border-left: 4px solid var(--caution);
      cursor: pointer;
    }
    .overdue {
      color: var(--stop);
      background: var(--stop-wash);
      border-color: var(--stop);
    }
    mat-icon {
      flex: none;
      width: 20px;
      height: 20px;
    }
  `,
})
export class CourseDue {
  readonly horseId = input.required<string>()
  readonly day = input.required<string>()
  /** It is to be looked at, on this foot. */
  readonly look = output<Side>()

  private readonly courses = inject(HorseCourses)
  private readonly text = inject(FigureText)

  protected readonly due = computed(() => {
    const day = this.day()
    const steps = this.courses
      .running()
      .flatMap((course) => openSteps(course).map((step) => ({ step, side: course.side })))
      .filter(({ step }) => stepState(step, day) !== 'coming')
      .sort((a, b) => (a.step.date < b.step.date ? -1 : 1))
    const first = steps[0]
    if (!first) return undefined
    const more = steps.length > 1 ? `, and ${steps.length - 1} more` : ''
    return {
      side: first.side,
      overdue: stepState(first.step, day) === 'overdue',
      words: `${first.side} ${this.text.told(first.step.label)}: ${dueText(first.step.date, day)}${more}`,
    }
  })

  constructor() {
    effect(() => this.courses.open(this.horseId()))
  }
}
