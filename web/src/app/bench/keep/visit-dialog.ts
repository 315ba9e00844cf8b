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
import type { Visit } from '@crescent/core'
import { DayField } from '../../common/day-field'
import { OUTLINED_FIELDS } from '../../common/outlined-fields'
import { NextDue } from './next-due'
import { HelpButton } from '../../help/help-button'

export interface VisitDialogData {
  visit: Visit
  byCycle: string
  /** Something was looked at, measured or typed: it is not taken back any more. */
  begun: boolean
}

/** What of the visit was changed, or that it is taken back. */
export type VisitAnswer = Pick<Visit, 'date' | 'nextDue' | 'notes'> | 'take back' | 'erase'

/** The visit itself: its day, when the next one is due, the note for it; one begun by mistake is taken back here. */
@Component({
  selector: 'cr-visit-dialog',
  imports: [
    DayField,
    FormsModule,
    HelpButton,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatInput,
    MatLabel,
    NextDue,
  ],
  providers: [OUTLINED_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>This visit</h2>
    <form (ngSubmit)="done()">
      <mat-dialog-content>
        <cr-day-field
          label="Day of the visit"
          [day]="date()"
          (changed)="date.set($event)"
          (faulty)="fault('date', $event)"
        />
        <cr-next-due
          [byCycle]="data.byCycle"
          [set]="nextDue()"
          (changed)="nextDue.set($event)"
          (fault)="fault('next', $event)"
        />
        <mat-form-field>
          <mat-label>Note for next time</mat-label>
          <textarea
            matInput
            name="notes"
            rows="3"
            maxlength="20000"
            [ngModel]="notes()"
            (ngModelChange)="notes.set($event)"
          ></textarea>
        </mat-form-field>
        <p class="back">
          <button
            mat-stroked-button
            type="button"
            [disabled]="data.begun"
            aria-describedby="take-back"
            (click)="takeBack()"
          >
            Take this visit back
          </button>
          <span id="take-back" class="muted">{{
            data.begun
              ? 'Something is recorded at it already: finish it instead.'
              : 'Begun by mistake, and nothing is recorded yet.'
          }}</span>
          @if (data.begun) {
            <button mat-button type="button" (click)="erase()">Erase it for good</button>
          }
        </p>
      </mat-dialog-content>
      <mat-dialog-actions align="end">
        <cr-help-button topic="visit" />
        <button mat-button type="button" mat-dialog-close>Close</button>
        <button mat-flat-button type="submit" [disabled]="faults().length > 0">Keep</button>
      </mat-dialog-actions>
    </form>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      margin-top: 8px;
    }
    .back {
      display: grid;
      gap: 4px;
      justify-items: start;
      font-size: 0.9rem;
    }
  `,
})
export class VisitDialog {
  protected readonly data = inject<VisitDialogData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<VisitDialog, VisitAnswer>>(MatDialogRef)
  protected readonly date = signal(this.data.visit.date)
  protected readonly nextDue = signal(this.data.visit.nextDue)
  protected readonly notes = signal(this.data.visit.notes)
  /** Fields with something in them that is no day. */
  protected readonly faults = signal<readonly string[]>([])

  protected fault(field: string, wrong: boolean): void {
    this.faults.update((others) => [...others.filter((one) => one !== field), ...(wrong ? [field] : [])])
  }

  protected takeBack = (): void => this.dialog.close('take back')
  protected erase = (): void => this.dialog.close('erase')
  protected done(): void {
    if (this.faults().length > 0) return
    this.dialog.close({ date: this.date(), nextDue: this.nextDue(), notes: this.notes() })
  }
}
