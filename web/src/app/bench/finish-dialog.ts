import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { FormsModule } from '@angular/forms'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog'
import { MatFormField, MatLabel } from '@angular/material/form-field'
import { MatInput } from '@angular/material/input'
import { OUTLINED_FIELDS } from '../common/outlined-fields'

export interface FinishDialogData {
  notes: string
  unsaved: readonly string[]
  unmeasured: readonly string[]
  nextDue: string
}

/** Ends a visit: says what is still open, takes a note, tells when the next one is due. */
@Component({
  selector: 'cr-finish-dialog',
  imports: [
    FormsModule,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatInput,
    MatLabel,
  ],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Finish the visit</h2>
    <form (ngSubmit)="done()">
      <mat-dialog-content>
        @if (data.unsaved.length > 0) {
          <p class="warn" role="alert">
            Not saved yet: {{ data.unsaved.join(', ') }}. It stays in this browser; save it to keep it with
            the horse.
          </p>
        }
        @if (data.unmeasured.length > 0) {
          <p>Nothing recorded for {{ data.unmeasured.join(', ') }}.</p>
        }
        <p>
          Next due <strong>{{ data.nextDue }}</strong>.
        </p>
        <mat-form-field>
          <mat-label>Note for next time</mat-label>
          <textarea
            matInput
            name="notes"
            rows="4"
            maxlength="20000"
            [ngModel]="notes()"
            (ngModelChange)="notes.set($event)"
          ></textarea>
        </mat-form-field>
      </mat-dialog-content>
      <mat-dialog-actions align="end">
        <button mat-button type="button" mat-dialog-close>Not yet</button>
        <button mat-flat-button type="submit">Finish</button>
      </mat-dialog-actions>
    </form>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      margin-top: 12px;
    }
    p {
      margin-bottom: 8px;
    }
    .warn {
      padding: 8px 10px;
      color: var(--caution);
      background: var(--caution-wash);
    }
  `,
})
export class FinishDialog {
  protected readonly data = inject<FinishDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<FinishDialog, string>>(MatDialogRef)
  protected readonly notes = signal(this.data.notes)
  protected done = (): void => this.dialog.close(this.notes())
}
