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
import { OUTLINED_FIELDS } from './outlined-fields'

/** What is done only with a reason that is kept. */
export interface ReasonAsked {
  title: string
  /** What stands against it, line by line. */
  against: readonly string[]
  label: string
  yes: string
  no: string
}

/** Asks why: without a reason nothing is done, and going back is what the focus stands on. */
@Component({
  selector: 'cr-reason-dialog',
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
    <h2 mat-dialog-title>{{ data.title }}</h2>
    <form (ngSubmit)="done()">
      <mat-dialog-content>
        @for (line of data.against; track line) {
          <p class="against">{{ line }}</p>
        }
        <mat-form-field>
          <mat-label>{{ data.label }}</mat-label>
          <textarea matInput name="reason" rows="3" maxlength="2000" [(ngModel)]="reason"></textarea>
        </mat-form-field>
      </mat-dialog-content>
      <mat-dialog-actions>
        <button mat-stroked-button type="button" mat-dialog-close cdkFocusInitial>{{ data.no }}</button>
        <button mat-flat-button type="submit" [disabled]="reason().trim() === ''">{{ data.yes }}</button>
      </mat-dialog-actions>
    </form>
  `,
  styles: `
    .against {
      margin: 0 0 8px;
      padding: 8px 10px;
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
    mat-form-field {
      width: 100%;
      margin-top: 6px;
    }
  `,
})
export class ReasonDialog {
  protected readonly data = inject<ReasonAsked>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<ReasonDialog, string>>(MatDialogRef)
  protected readonly reason = signal('')
  protected done(): void {
    if (this.reason().trim() !== '') this.dialog.close(this.reason().trim())
  }
}
