import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogTitle,
} from '@angular/material/dialog'
import { WORDS } from '@crescent/core'
import { FigureText } from '../drawing/figure-text'
import { KEYS } from './keys'
import { ModelPicture } from './model-picture'
import { TOPICS } from './topics'
import { Worded } from './worded'

/** Help with one place, step or dialog; from it to every other, to the trade's words and to the keys. */
@Component({
  selector: 'cr-help-dialog',
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
    <h2 mat-dialog-title>Help: {{ topic().title }}</h2>
    <mat-dialog-content tabindex="0">
      <ol>
        @for (line of topic().lines; track line) {
          <li>
            <p><cr-worded [text]="text.told(line.text)" /></p>
            @if (line.picture; as picture) {
              <cr-model-picture [picture]="picture" />
            }
            @if (line.pictures; as pictures) {
              <div class="row">
                @for (picture of pictures; track $index) {
                  <cr-model-picture [picture]="picture" />
                }
              </div>
            }
          </li>
        }
      </ol>
      <details class="fold">
        <summary>Help with something else</summary>
        <div class="others">
          @for (one of topics; track one.key) {
            <button
              type="button"
              class="tap"
              [attr.aria-pressed]="one.key === topic().key"
              (click)="key.set(one.key)"
            >
              {{ one.title }}
            </button>
          }
        </div>
      </details>
      <details class="fold">
        <summary>The trade’s words</summary>
        <dl>
          @for (word of words; track word.key) {
            <div>
              <dt><cr-worded [text]="word.label" /></dt>
              <dd>{{ text.told(word.says) }}</dd>
            </div>
          }
        </dl>
      </details>
      <details class="fold">
        <summary>Keys</summary>
        <dl>
          @for (row of keys; track row[0]) {
            <div>
              <dt>{{ row[0] }}</dt>
              <dd>{{ row[1] }}</dd>
            </div>
          }
        </dl>
      </details>
      <p class="law">
        The figures inform a trained hand; they do not replace it. Disease, lameness and founder are the vet’s
        to diagnose and lead; in some places the law keeps shoeing for registered farriers. Pain at any step:
        stop.
      </p>
    </mat-dialog-content>
    <mat-dialog-actions align="end"
      ><button mat-flat-button mat-dialog-close>Close</button></mat-dialog-actions
    >
  `,
  styles: `
    ol {
      margin: 0 0 8px;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 1fr 210px;
      gap: 6px 18px;
      align-items: center;
      padding: 8px 0;
      border-bottom: 1px solid var(--rule);
    }
    li:last-child {
      border: 0;
    }
    li p {
      margin: 0;
      font-size: 1.02rem;
      line-height: 1.4;
    }
    li p:only-child,
    li p:has(+ .row) {
      grid-column: 1 / -1;
    }
    cr-model-picture {
      --picture-height: 138px;
    }
    @media (max-width: 599px) {
      li {
        grid-template-columns: 1fr;
      }
    }
    .row {
      display: grid;
      grid-column: 1 / -1;
      grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
      gap: 8px;
    }
    .others {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      padding-bottom: 10px;
    }
    dl {
      margin: 0 0 8px;
    }
    dl div {
      display: grid;
      grid-template-columns: 9rem 1fr;
      gap: 12px;
      padding: 5px 0;
      border-bottom: 1px solid var(--rule);
    }
    dt {
      font-weight: 650;
    }
    dd {
      margin: 0;
    }
    .law {
      margin: 12px 0 0;
      padding: 8px 12px;
      background: var(--sheet-sunk);
      border-left: 4px solid var(--rule-strong);
    }
  `,
})
export class HelpDialog {
  protected readonly key = signal(inject<string>(MAT_DIALOG_DATA))
  protected readonly text = inject(FigureText)
  protected readonly topics = TOPICS
  protected readonly words = [...WORDS].sort((a, b) => a.label.localeCompare(b.label))
  protected readonly keys = KEYS
  /** A place without help of its own is the working day's: the Round. */
  protected readonly topic = computed(() => TOPICS.find(({ key }) => key === this.key()) ?? TOPICS[0]!)
}
