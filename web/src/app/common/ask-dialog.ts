import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogTitle,
  type MatDialog,
} from '@angular/material/dialog'
import { map, type Observable } from 'rxjs'

export interface Question {
  title: string
  question: string
  yes: string
  no: string
}

/** A question that has to be answered one way or the other. */
@Component({
  selector: 'cr-ask-dialog',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ data.title }}</h2>
    <mat-dialog-content>
      <p>{{ data.question }}</p>
    </mat-dialog-content>
    <mat-dialog-actions>
      <button mat-stroked-button [mat-dialog-close]="false">{{ data.no }}</button>
      <button mat-flat-button [mat-dialog-close]="true" cdkFocusInitial>{{ data.yes }}</button>
    </mat-dialog-actions>
  `,
})
export class AskDialog {
  protected readonly data = inject<Question>(MAT_DIALOG_DATA)
}

/** Asks, and waits for one of the two answers. */
export const ask = (dialog: MatDialog, question: Question): Observable<boolean> =>
  dialog
    .open<AskDialog, Question, boolean>(AskDialog, { data: question, width: '460px', disableClose: true })
    .afterClosed()
    .pipe(map((answer) => answer === true))
