import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core'
import type { Side } from '@crescent/core'
import { coursesFor, stoppedForPain } from '@crescent/core/courses'
import { CourseActs } from './course-acts'
import { HorseCourses } from './horse-courses'

/** Courses that follow from what is made or was agreed, and do not run yet on this foot. */
@Component({
  selector: 'cr-course-offers',
  providers: [CourseActs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (kind of offered(); track kind.key) {
      <p>
        <strong>{{ kind.label }}.</strong> {{ kind.use }}
        <button type="button" class="tap" (click)="acts.begin(horseId(), day(), side(), kind.key)">
          Begin this course
        </button>
      </p>
    }
  `,
  styles: `
    p {
      padding: 8px 10px;
      margin: 8px 0;
      font-size: 0.92rem;
      background: var(--ember-wash);
      border-left: 4px solid var(--ember);
    }
    button {
      display: block;
      margin-top: 6px;
    }
  `,
})
export class CourseOffers {
  readonly horseId = input.required<string>()
  readonly side = input.required<Side>()
  readonly day = input.required<string>()
  /** Kinds of what is made, and codes of the advice that was agreed. */
  readonly modifications = input<readonly string[]>([])
  readonly advice = input<readonly string[]>([])

  private readonly courses = inject(HorseCourses)
  protected readonly acts = inject(CourseActs)

  protected readonly offered = computed(() => {
    if (!this.courses.list()) return []
    const here = (this.courses.list() ?? []).filter(({ side }) => side === this.side())
    // One that was stopped because it hurt is not offered as if nothing had been: first is said what came of it.
    const hurt = stoppedForPain(here, this.side())
    const run = here.filter((one) => one.ended === null || hurt.includes(one)).map(({ kind }) => kind)
    return coursesFor(this.modifications(), this.advice()).filter(({ key }) => !run.includes(key))
  })

  constructor() {
    effect(() => this.courses.open(this.horseId()))
  }
}
