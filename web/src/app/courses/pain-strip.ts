import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import { sentence, type Side } from '@crescent/core'
import { courseKind, stoppedForPain } from '@crescent/core/courses'
import { shortDay } from '../common/today'
import { CourseActs } from './course-acts'
import { HorseCourses } from './horse-courses'

/** Over every step of the Bench, where a course of this foot was stopped because it hurt, until somebody says what came of it. */
@Component({
  selector: 'cr-pain-strip',
  imports: [MatIcon],
  providers: [CourseActs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (course of hurt(); track course.id) {
      <section aria-label="Stopped for pain" data-testid="pain-strip">
        <mat-icon svgIcon="stop" aria-hidden="true" />
        <p>
          <strong
            >{{ course.side }}: {{ words(course.kind) }} stopped for pain,
            {{ day(course.ended!.on) }}.</strong
          >
          {{ said(course.ended!.reason) }}
        </p>
        <button type="button" class="tap" (click)="acts.settle(course)">Say what came of it</button>
      </section>
    }
  `,
  styleUrl: '../common/stop-strip.scss',
})
export class PainStrip {
  readonly horseId = input.required<string>()
  readonly side = input.required<Side>()

  private readonly courses = inject(HorseCourses)
  protected readonly acts = inject(CourseActs)
  protected readonly hurt = computed(() => stoppedForPain(this.courses.list() ?? [], this.side()))
  protected readonly day = shortDay
  protected readonly said = sentence
  protected words = (kind: Parameters<typeof courseKind>[0]): string => courseKind(kind).label.toLowerCase()

  constructor() {
    effect(() => this.courses.open(this.horseId()))
  }
}
