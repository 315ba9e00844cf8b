import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { courseKind, type Course } from '@crescent/core/courses'

export interface StopDialogData {
  course: Course
  /** It hurts: that is why. */
  pain: boolean
  note: string
  /** Why it was to be stopped, where that could not be kept yet. */
  before?: string
}

/** Ends a course before it is through, with a reason that stays with it. */
@Component({
  selector: 'cr-stop-dialog',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Stop the course</h2>
    <mat-dialog-content>
      @if (data.pain) {
        <p class="alarm" role="alert">
          Pain: take off what hurts, leave the horse standing, call the vet.
          @for (stop of kind.stops; track stop) {
            {{ stop }}
          }
        </p>
      }
      <p>It asks for nothing more once it is stopped; what was done and measured stays.</p>
      <label
        >Why
        <textarea
          #box
          class="typed"
          rows="3"
          maxlength="4000"
          cdkFocusInitial
          [value]="reason()"
          (input)="reason.set(box.value)"
        ></textarea>
      </label>
      @if (asked()) {
        <p class="wrong" role="alert">Say why: the next one to look at this foot must know.</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button mat-button mat-dialog-close>Go on with it</button>
      <button mat-flat-button (click)="stop()">Stop it</button>
    </mat-dialog-actions>
  `,
  styleUrl: '../common/asking.scss',
  styles: `
    .alarm {
      padding: 10px 12px;
      font-weight: 650;
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
  `,
})
export class StopDialog {
  protected readonly data = inject<StopDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<StopDialog, string>>(MatDialogRef)
  protected readonly kind = courseKind(this.data.course.kind)
  protected readonly reason = signal(
    this.data.before ?? [this.data.pain ? 'Pain.' : '', this.data.note].filter(Boolean).join(' '),
  )
  protected readonly asked = signal(false)

  protected stop(): void {
    const reason = this.reason().trim()
    if (reason === '') return this.asked.set(true)
    this.dialog.close(reason)
  }
}
