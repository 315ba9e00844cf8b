import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core'
import { FormsModule } from '@angular/forms'
import { MatButton } from '@angular/material/button'
import { MatCheckbox } from '@angular/material/checkbox'
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
import type { Gate, Side } from '@crescent/core'
import { OUTLINED_FIELDS } from '../../../common/outlined-fields'
import { HelpButton } from '../../../help/help-button'

/** What calls for the vet, and what it stands in the way of. */
export interface GateDialogData {
  gates: readonly Gate[]
  /** The foot a shoe is to be put on, where that is what was asked for. */
  shoeOn?: Side
}

/** What was answered: who was told and what was said, and whether the vet lets a shoe be put on. */
export interface GateAnswer {
  words: string
  allows?: 'shoe'
}

/** Findings that call for the vet stop the work here until they are acknowledged; what was said goes on record. */
@Component({
  selector: 'cr-gate-dialog',
  imports: [
    FormsModule,
    HelpButton,
    MatButton,
    MatCheckbox,
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
      @if (forbids()) {
        <mat-checkbox [checked]="allowed()" (change)="allowed.set($event.checked)">
          The vet has seen it and allows a shoe
        </mat-checkbox>
        <p class="law">
          Without that no shoe goes on: the foot stays bare, and this stands with it through every step, on
          the horse and on the round.
        </p>
      }
      <p class="law">
        The vet diagnoses and leads. Crescent informs a trained hand; it does not replace one. Local law may
        reserve this work.
      </p>
    </mat-dialog-content>
    <mat-dialog-actions>
      <cr-help-button topic="gate" />
      <button mat-stroked-button mat-dialog-close cdkFocusInitial>
        {{ data.shoeOn ? 'No shoe on it' : 'Back to the Look' }}
      </button>
      <button mat-flat-button [disabled]="!complete()" (click)="acknowledge()">
        {{ data.shoeOn ? 'Shoe it as the vet allows' : 'I have read this, go on' }}
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
  protected readonly data = inject<GateDialogData>(MAT_DIALOG_DATA)
  protected readonly gates = this.data.gates
  private readonly dialog = inject<MatDialogRef<GateDialog, GateAnswer>>(MatDialogRef)
  protected readonly words = signal('')
  protected readonly allowed = signal(false)
  protected readonly forbids = (): boolean => this.gates.some((gate) => gate.forbids === 'shoe')
  /** Where a shoe is to go on it must be allowed, not only read. */
  protected readonly complete = (): boolean =>
    this.words().trim() !== '' && (!this.data.shoeOn || !this.forbids() || this.allowed())

  protected acknowledge(): void {
    if (!this.complete()) return
    this.dialog.close({ words: this.words().trim(), ...(this.allowed() && { allows: 'shoe' as const }) })
  }
}
