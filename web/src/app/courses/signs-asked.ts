import { ChangeDetectionStrategy, Component, input, output } from '@angular/core'
import type { Sign, SignAnswer } from '@crescent/core'

/** What should have come by now, asked one by one: better, the same or worse. */
@Component({
  selector: 'cr-signs-asked',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (sign of asked(); track sign.key) {
      <div class="sign" role="group" [attr.aria-label]="sign.asks">
        <span>{{ sign.asks }}?</span>
        @for (one of answers; track one.key) {
          <button type="button" class="tap" (click)="answered.emit({ key: sign.key, answer: one.key })">
            {{ one.label }}
          </button>
        }
        @if (canBeLeft()) {
          <button type="button" class="link" (click)="leave.emit(sign.key)">ask no more</button>
        }
      </div>
    }
    @for (told of given(); track told.asks) {
      <p class="given">
        {{ told.asks }}: <strong>{{ told.said }}</strong>
      </p>
    }
  `,
  styles: `
    :host {
      display: block;
      container-type: inline-size;
    }
    .sign {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      align-items: center;
      padding: 6px 0;
    }
    .sign span {
      flex: 1 1 100%;
      font-weight: 600;
    }
    .link {
      min-height: 44px;
      font: inherit;
      font-size: 0.9rem;
      color: var(--ink-soft);
      text-decoration: underline;
      background: none;
      border: 0;
      cursor: pointer;
    }
    @container (min-width: 560px) {
      .sign span {
        flex: 1 1 12rem;
      }
    }
    .given {
      margin: 2px 0;
      font-size: 0.92rem;
      color: var(--ink-soft);
    }
  `,
})
export class SignsAsked {
  /** What is still to be asked. */
  readonly asked = input.required<readonly Sign[]>()
  /** What was answered today. */
  readonly given = input.required<readonly { asks: string; said: string }[]>()
  /** A sign may be left for good. */
  readonly canBeLeft = input(false)
  readonly answered = output<{ key: string; answer: SignAnswer }>()
  readonly leave = output<string>()

  protected readonly answers = [
    { key: 'better', label: 'Better' },
    { key: 'same', label: 'The same' },
    { key: 'worse', label: 'Worse' },
  ] as const
}
