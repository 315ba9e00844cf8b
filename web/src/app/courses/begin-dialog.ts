import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { SIDE_NAMES, SIDES, type Side } from '@crescent/core'
import { COURSES, courseKind, stepRules, type CourseFigures, type CourseKey } from '@crescent/core/courses'
import { DayField } from '../common/day-field'
import { FigureText } from '../drawing/figure-text'
import { HelpButton } from '../help/help-button'

export interface BeginDialogData {
  day: string
  side: Side
  kind?: CourseKey
  /** Figures of what is on the shoe, for a course that follows from it. */
  figures?: (of: Pick<CourseBegun, 'kind' | 'side'>) => CourseFigures | undefined
  /** The vet the look names, where it names one. */
  vet?: string
  /** What was chosen and could not be kept yet. */
  before?: CourseBegun
}

export interface CourseBegun {
  kind: CourseKey
  side: Side
  startedOn: string
  why: string
  who: string
}

/** Begins a course: which, for which foot, from which day, why, and who leads. */
@Component({
  selector: 'cr-begin-dialog',
  imports: [
    DayField,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Begin a course</h2>
    <mat-dialog-content>
      <div class="pair">
        <label
          >Course
          <select #course cdkFocusInitial (change)="kind.set(asKey(course.value))">
            @for (one of courses; track one.key) {
              <option [value]="one.key" [selected]="one.key === kind()">{{ one.label }}</option>
            }
          </select>
        </label>
        <label
          >Foot
          <select #foot (change)="side.set(asSide(foot.value))">
            @for (one of sides; track one) {
              <option [value]="one" [selected]="one === side()">{{ names[one] }}</option>
            }
          </select>
        </label>
      </div>
      <p class="muted">{{ rules().use }}</p>
      <cr-day-field
        label="First day"
        [day]="day()"
        (changed)="day.set($event)"
        (faulty)="faulty.set($event)"
      />
      <label
        >Why
        <input #why class="typed" maxlength="2000" [value]="reason()" (input)="reason.set(why.value)" />
      </label>
      @if (rules().vetLeads) {
        <label
          >Which vet leads
          <input #vet class="typed" maxlength="200" [value]="who()" (input)="who.set(vet.value)" />
        </label>
        <p class="heeded">The vet diagnoses and leads; this plan is made to the vet’s word.</p>
      }
      <details class="fold">
        <summary>
          Its steps <span class="muted">{{ steps().length }}</span>
        </summary>
        <ol>
          @for (step of steps(); track $index) {
            <li>day {{ step.day }}, {{ step.who }}: {{ text.told(step.label) }}</li>
          }
        </ol>
      </details>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <cr-help-button topic="course" />
      <button mat-button mat-dialog-close>Not now</button>
      <button mat-flat-button [disabled]="faulty()" (click)="begin()">Begin it</button>
    </mat-dialog-actions>
  `,
  styleUrl: '../common/asking.scss',
})
export class BeginDialog {
  private readonly data = inject<BeginDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<BeginDialog, CourseBegun>>(MatDialogRef)
  protected readonly text = inject(FigureText)
  protected readonly courses = COURSES
  protected readonly sides = SIDES
  protected readonly names = SIDE_NAMES
  protected readonly kind = signal<CourseKey>(this.data.before?.kind ?? this.data.kind ?? COURSES[0]!.key)
  protected readonly side = signal<Side>(this.data.before?.side ?? this.data.side)
  protected readonly day = signal(this.data.before?.startedOn ?? this.data.day)
  protected readonly faulty = signal(false)
  protected readonly reason = signal(this.data.before?.why ?? '')
  protected readonly who = signal(this.data.before?.who ?? this.data.vet ?? '')
  protected readonly rules = computed(() => courseKind(this.kind()))

  /** As the shoe asks for them, where there is one. */
  protected readonly steps = computed(() =>
    stepRules(this.rules(), this.data.figures?.({ kind: this.kind(), side: this.side() })),
  )

  protected asKey = (value: string): CourseKey => value as CourseKey
  protected asSide = (value: string): Side => value as Side

  protected begin(): void {
    this.dialog.close({
      ...{ kind: this.kind(), side: this.side(), startedOn: this.day() },
      why: this.reason().trim(),
      who: this.rules().vetLeads ? this.who().trim() : '',
    })
  }
}
