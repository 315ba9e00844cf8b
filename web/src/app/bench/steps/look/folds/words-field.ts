import { ChangeDetectionStrategy, Component, input, output } from '@angular/core'

/** Free words, on one line or on several. */
@Component({
  selector: 'cr-words-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (short()) {
      <label>
        {{ label() }}
        <input
          #line
          class="typed"
          type="text"
          maxlength="200"
          [value]="words()"
          (input)="typed.emit(line.value)"
        />
      </label>
    } @else {
      <label>
        {{ label() }}
        <textarea
          #text
          class="typed"
          rows="2"
          maxlength="5000"
          [value]="words()"
          (input)="typed.emit(text.value)"
        ></textarea>
      </label>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    label {
      display: block;
      margin-bottom: 10px;
      font-size: 0.85rem;
      color: var(--ink-soft);
    }
  `,
})
export class WordsField {
  readonly label = input.required<string>()
  readonly words = input.required<string>()
  /** A name, not a text. */
  readonly short = input(false)
  readonly typed = output<string>()
}
