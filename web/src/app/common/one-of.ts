import { ChangeDetectionStrategy, Component, input, output } from '@angular/core'
import { Roving } from './roving'

/** One of a few, always one: chosen with a tap. What it is about stands above it only where that is not plain. */
@Component({
  selector: 'cr-one-of',
  imports: [Roving],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (heading()) {
      <p>{{ heading() }}</p>
    }
    <div role="radiogroup" [attr.aria-label]="label()" [crOnlyGoes]="stored()">
      @for (choice of choices(); track choice.key) {
        <button
          type="button"
          class="tap"
          role="radio"
          [attr.aria-checked]="choice.key === chosen()"
          (click)="choose.emit(choice.key)"
        >
          {{ choice.label }}
        </button>
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
    }
    p {
      margin: 0 0 4px;
      font-size: 0.95rem;
    }
    div {
      display: flex;
      flex-wrap: wrap;
      gap: var(--one-of-gap, 6px);
      justify-content: inherit;
    }
  `,
})
export class OneOf<K extends string> {
  readonly label = input.required<string>()
  readonly heading = input('')
  readonly choices = input.required<readonly { key: K; label: string }[]>()
  readonly chosen = input.required<K | undefined>()
  /** The choice is stored at once: an arrow that passes over it chooses nothing. */
  readonly stored = input(false)
  readonly choose = output<K>()
}
