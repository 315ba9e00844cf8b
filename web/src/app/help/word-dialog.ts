import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogTitle,
} from '@angular/material/dialog'
import { wordNamed } from '@crescent/core'
import { FigureText } from '../drawing/figure-text'
import { ModelPicture } from './model-picture'
import { WORD_PICTURES } from './word-pictures'
import { Worded } from './worded'

/** One of the trade's words: what it means, and where it is on the foot or the shoe. */
@Component({
  selector: 'cr-word-dialog',
  imports: [
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    ModelPicture,
    Worded,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ title }}</h2>
    <mat-dialog-content>
      @if (picture; as picture) {
        <cr-model-picture [picture]="picture" />
      }
      <p><cr-worded [text]="says()" [known]="[key]" /></p>
    </mat-dialog-content>
    <mat-dialog-actions align="end"
      ><button mat-flat-button mat-dialog-close>Close</button></mat-dialog-actions
    >
  `,
  styles: `
    cr-model-picture {
      --picture-height: 230px;
    }
    p {
      margin: 10px 0 0;
    }
  `,
})
export class WordDialog {
  protected readonly key = inject<string>(MAT_DIALOG_DATA)
  private readonly text = inject(FigureText)
  private readonly word = wordNamed(this.key)!
  protected readonly title = this.word.label[0]!.toUpperCase() + this.word.label.slice(1)
  protected readonly picture = WORD_PICTURES[this.key]
  protected readonly says = computed(() => this.text.told(this.word.says))
}
