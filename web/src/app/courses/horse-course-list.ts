import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { AsyncState } from '../common/async-state'
import { CourseActs } from './course-acts'
import { CourseCard } from './course-card'
import { HorseCourses } from './horse-courses'

/** All courses of a horse, those that run first; another is begun here. */
@Component({
  selector: 'cr-horse-course-list',
  imports: [AsyncState, CourseCard, MatButton, MatIcon],
  providers: [HorseCourses, CourseActs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-label="Courses">
      <header>
        <h2>
          Courses <span class="muted">{{ running() || '' }}</span>
        </h2>
        <button mat-stroked-button (click)="acts.begin(horseId(), day(), 'LF')">
          <mat-icon svgIcon="add" />Begin a course
        </button>
      </header>
      @if (courses.list(); as list) {
        @for (course of list; track course.id) {
          <cr-course-card [course]="course" [day]="day()" />
        } @empty {
          <p class="muted">
            A course is a plan over weeks for one foot: an expander’s bars, a founder’s radiographs, dressings
            under a plate. Its steps stand on the round and in the calendar.
          </p>
        }
      } @else {
        <cr-async-state [failure]="courses.failure()" (again)="courses.read()" />
      }
    </section>
  `,
  styles: `
    section {
      display: grid;
      gap: 10px;
      margin-bottom: 22px;
    }
    header {
      display: flex;
      flex-wrap: wrap;
      gap: 12px;
      align-items: center;
      justify-content: space-between;
    }
    h2 {
      margin: 0;
    }
  `,
})
export class HorseCourseList {
  readonly horseId = input.required<string>()
  readonly day = input.required<string>()

  protected readonly courses = inject(HorseCourses)
  protected readonly acts = inject(CourseActs)
  protected readonly running = computed(() => this.courses.running().length)

  constructor() {
    effect(() => this.courses.open(this.horseId()))
  }
}
