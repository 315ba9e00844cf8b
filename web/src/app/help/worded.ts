import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { Dialogs } from '../common/dialogs'
import { piecesOf } from '@crescent/core'

/** A sentence in which the trade's words can be tapped: each then says what it means. */
@Component({
  selector: 'cr-worded',
  changeDetection: ChangeDetectionStrategy.OnPush,
  // Text by binding: no blank of this template gets between a word and the comma behind it.
  template: `
    @for (piece of pieces(); track $index) {
      @if (piece.key) {
        <span
          class="word"
          role="button"
          [tabindex]="beside() ? -1 : 0"
          [attr.data-word]="piece.key"
          [textContent]="piece.text"
          (mousedown)="stay($event)"
          (click)="explain(piece.key, $event)"
          (keydown.enter)="explain(piece.key, $event)"
          (keydown.space)="explain(piece.key, $event)"
        ></span>
      } @else {
        <span [textContent]="piece.text"></span>
      }
    }
  `,
  styles: `
    span {
      white-space: pre-wrap;
    }
    .word:focus-visible {
      outline: 3px solid var(--ember);
      outline-offset: 1px;
    }
    .word {
      text-decoration: underline dotted var(--ember) 1.5px;
      text-underline-offset: 3px;
      border-radius: 2px;
      cursor: help;
    }
  `,
})
export class Worded {
  readonly text = input.required<string>()
  /** Words that are not marked: the one that is being explained. */
  readonly known = input<readonly string[]>([])
  /** It stands beside a field that is being typed in: the focus stays there, and Tab passes the words by. */
  readonly beside = input(false)

  private readonly dialogs = inject(Dialogs)
  protected readonly pieces = computed(() =>
    piecesOf(this.text(), this.known()).map((piece) =>
      typeof piece === 'string' ? { key: '', text: piece } : piece,
    ),
  )

  protected stay(event: Event): void {
    if (this.beside()) event.preventDefault()
  }

  /** Within a label or a fold a tap would also do what those do. */
  protected async explain(key: string, event: Event): Promise<void> {
    event.preventDefault()
    event.stopPropagation()
    await this.dialogs.ask(() => import('./word-dialog').then((m) => m.WordDialog), {
      ...{ data: key, width: '420px', maxWidth: '94vw', autoFocus: 'dialog' },
    })
  }
}
