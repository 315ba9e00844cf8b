import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogTitle,
} from '@angular/material/dialog'
import { FOOT_FIGURES, footFigure, type FootFigureKey, type FootInput, type ShoeInput } from '@crescent/core'
import { format, parseISO } from 'date-fns'
import { FigureText } from '../../drawing/figure-text'
import type { BenchConflict } from '../../state/bench/bench.state'
import { HelpButton } from '../../help/help-button'

export interface ConflictDialogData {
  conflict: BenchConflict
  mine: { foot: FootInput; shoe: ShoeInput }
}

export type ConflictAnswer = 'mine' | 'theirs'

/** The same foot was saved elsewhere meanwhile: shows both and lets the farrier decide. Nothing is lost either way. */
@Component({
  selector: 'cr-conflict-dialog',
  imports: [HelpButton, MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Changed in another window</h2>
    <mat-dialog-content>
      <p>
        {{ data.conflict.side }} was saved at {{ time }} by another window since this one read it. Nothing of
        yours is lost: choose which goes on.
      </p>
      <table>
        <thead>
          <tr>
            <td></td>
            <th scope="col">Yours</th>
            <th scope="col">Theirs</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows; track row.label) {
            <tr>
              <th scope="row">{{ row.label }}</th>
              <td>{{ row.mine }}</td>
              <td>{{ row.theirs }}</td>
            </tr>
          } @empty {
            <tr>
              <td colspan="3">The measurements are the same.</td>
            </tr>
          }
          @if (shoeDiffers) {
            <tr>
              <th scope="row">Shoe</th>
              <td>as on this bench</td>
              <td>“{{ data.conflict.pattern!.name }}”</td>
            </tr>
          }
        </tbody>
      </table>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <cr-help-button topic="conflict" />
      <button mat-button mat-dialog-close>Decide later</button>
      <button mat-stroked-button [mat-dialog-close]="'theirs'">Take theirs</button>
      <button mat-flat-button [mat-dialog-close]="'mine'">Save mine</button>
    </mat-dialog-actions>
  `,
  styles: `
    table {
      width: 100%;
      margin-top: 12px;
      border-collapse: collapse;
    }
    th,
    td {
      padding: 6px 10px 6px 0;
      text-align: left;
      border-bottom: 1px solid var(--rule);
    }
    td {
      font-weight: 650;
    }
  `,
})
export class ConflictDialog {
  protected readonly data = inject<ConflictDialogData>(MAT_DIALOG_DATA)
  private readonly text = inject(FigureText)
  private readonly theirs = this.data.conflict
  /** Of the two records the one that was stored last tells when. */
  protected readonly time = format(
    parseISO(
      [this.theirs.record, this.theirs.pattern]
        .map((one) => one?.updatedAt ?? '')
        .sort()
        .at(-1)!,
    ),
    'HH:mm',
  )
  protected readonly rows = this.differences()
  protected readonly shoeDiffers =
    this.theirs.pattern !== undefined &&
    JSON.stringify(this.theirs.pattern.shoe) !== JSON.stringify(this.data.mine.shoe)

  private differences() {
    const theirs = (this.theirs.record ?? this.theirs.pattern)!.foot
    const mine = this.data.mine.foot
    return FOOT_FIGURES.map(({ key }) => key)
      .filter((key) => mine[key] !== theirs[key])
      .map((key) => ({
        label: footFigure(key).label,
        mine: this.written(key, mine[key]),
        theirs: this.written(key, theirs[key]),
      }))
  }

  private written(key: FootFigureKey, value: number | undefined): string {
    return value === undefined ? 'default' : this.text.figure(value, footFigure(key).kind)
  }
}
