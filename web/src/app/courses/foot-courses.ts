import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core'
import type { Side } from '@crescent/core'
import { CourseActs } from './course-acts'
import { CourseCard } from './course-card'
import { HorseCourses } from './horse-courses'

/** The courses of a foot during a visit: what is due, and what should have come by now, asked one by one. */
@Component({
  selector: 'cr-foot-courses',
  imports: [CourseCard],
  providers: [CourseActs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (course of here(); track course.id) {
      <cr-course-card [course]="course" [day]="day()" [asksSigns]="asksSigns()" />
    }
    @if (courses.failure()) {
      <p role="alert">
        {{ courses.failure() }} <button type="button" class="tap" (click)="courses.read()">Try again</button>
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
  `,
})
export class FootCourses {
  readonly horseId = input.required<string>()
  readonly side = input.required<Side>()
  readonly day = input.required<string>()
  /** Not at a visit that is finished. */
  readonly asksSigns = input(true)

  protected readonly courses = inject(HorseCourses)
  protected readonly here = computed(() => this.courses.running().filter(({ side }) => side === this.side()))

  constructor() {
    effect(() => this.courses.open(this.horseId()))
  }
}
