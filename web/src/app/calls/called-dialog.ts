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
import type { PromisedCall } from '@crescent/core'
import { DayField } from '../common/day-field'

export interface CalledData {
  call: PromisedCall
  day: string
  /** What was answered and could not be kept yet. */
  before?: Called
}

/** What became of a call that was promised. */
export type Called = { act: 'made'; on: string; said: string } | { act: 'move'; to: string } | { act: 'drop' }

/** A call was made, and what came of it; or it is put off, or taken back. */
@Component({
  selector: 'cr-called-dialog',
  imports: [DayField, MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ call.about }}</h2>
    <mat-dialog-content>
      <label
        >What came of it
        <textarea
          #words
          class="typed"
          rows="3"
          maxlength="4000"
          cdkFocusInitial
          [value]="said()"
          (input)="said.set(words.value)"
        ></textarea>
      </label>
      <cr-day-field
        label="Called on, or put off to"
        [day]="on()"
        (changed)="on.set($event)"
        (faulty)="faulty.set($event)"
      />
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button mat-button mat-dialog-close>Not now</button>
      <button mat-stroked-button (click)="close({ act: 'drop' })">Take it back</button>
      <button
        mat-stroked-button
        [disabled]="faulty() || on() === call.date"
        (click)="close({ act: 'move', to: on() })"
      >
        Put it off to that day
      </button>
      <button
        mat-flat-button
        [disabled]="faulty()"
        (click)="close({ act: 'made', on: on(), said: said().trim() })"
      >
        Called
      </button>
    </mat-dialog-actions>
  `,
  styleUrl: '../common/asking.scss',
})
export class CalledDialog {
  private readonly data = inject<CalledData>(MAT_DIALOG_DATA)
  private readonly dialog = inject<MatDialogRef<CalledDialog, Called>>(MatDialogRef)
  protected readonly call = this.data.call
  protected readonly said = signal(this.data.before?.act === 'made' ? this.data.before.said : this.call.said)
  protected readonly on = signal(this.data.before?.act === 'move' ? this.data.before.to : this.data.day)
  protected readonly faulty = signal(false)

  protected close = (what: Called): void => this.dialog.close(what)
}
