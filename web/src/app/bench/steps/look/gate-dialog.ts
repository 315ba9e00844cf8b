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
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field'
import { MatIcon } from '@angular/material/icon'
import { MatInput } from '@angular/material/input'
import type { Gate } from '@crescent/core'
import { OUTLINED_FIELDS } from '../../../common/outlined-fields'
import { HelpButton } from '../../../help/help-button'

/** Findings that call for the vet stop the work here until they are acknowledged; what was said goes on record. */
@Component({
  selector: 'cr-gate-dialog',
  imports: [
    FormsModule,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatHint,
    MatIcon,
    MatInput,
    MatLabel,
  ],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Stop: this calls for the vet</h2>
    <mat-dialog-content>
      @for (gate of gates; track gate.key) {
        <section role="alert">
          <h3><mat-icon svgIcon="stop" aria-hidden="true" />{{ gate.title }}</h3>
          <p>{{ gate.text }}</p>
          <p class="do">{{ gate.action }}</p>
        </section>
      }
      <mat-form-field>
        <mat-label>Who was told, and what was said</mat-label>
        <textarea matInput rows="2" maxlength="2000" [(ngModel)]="words"></textarea>
        <mat-hint>Kept with the visit, with the time.</mat-hint>
      </mat-form-field>
      <p class="law">
        The vet diagnoses and leads. Crescent informs a trained hand; it does not replace one. Local law may
        reserve this work.
      </p>
    </mat-dialog-content>
    <mat-dialog-actions>
      <cr-help-button topic="gate" />
      <button mat-stroked-button mat-dialog-close cdkFocusInitial>Back to the Look</button>
      <button mat-flat-button [disabled]="words().trim() === ''" (click)="acknowledge()">
        I have read this, go on
      </button>
    </mat-dialog-actions>
  `,
  styles: `
    section {
      margin-bottom: 12px;
      padding: 10px 12px;
      color: var(--ink);
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
    h3 {
      display: flex;
      gap: 6px;
      align-items: center;
      margin: 0 0 4px;
      font-size: 1rem;
      color: var(--stop);
    }
    p {
      margin: 0;
    }
    .do {
      font-weight: 650;
    }
    .law {
      margin-top: 8px;
      font-size: 0.85rem;
    }
    mat-form-field {
      width: 100%;
    }
  `,
})
export class GateDialog {
  protected readonly gates = inject<readonly Gate[]>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<GateDialog, string>>(MatDialogRef)
  protected readonly words = signal('')
  protected acknowledge = (): void => this.dialog.close(this.words().trim())
}
