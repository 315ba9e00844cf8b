import { ChangeDetectionStrategy, Component, input, output } from '@angular/core'

/** One of a few words, chosen with one tap; a second tap takes it back. */
@Component({
  selector: 'cr-choice-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p [id]="id">{{ label() }}</p>
    <div role="group" [attr.aria-labelledby]="id">
      @for (choice of choices(); track choice) {
        <button
          class="tap"
          type="button"
          [attr.aria-pressed]="chosen().includes(choice)"
          (click)="toggle(choice)"
        >
          {{ choice }}
        </button>
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
      margin-bottom: 10px;
    }
    p {
      margin-bottom: 4px;
      font-size: 0.85rem;
      color: var(--ink-soft);
    }
    div {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
    }
  `,
})
export class ChoiceRow {
  readonly label = input.required<string>()
  readonly choices = input.required<readonly string[]>()
  /** What is chosen: one, or several where several may be. */
  readonly chosen = input.required<readonly string[]>()
  /** The new choice, or undefined where it was taken back. */
  readonly choose = output<string | undefined>()
  /** What was tapped, chosen before or not: where several may be chosen. */
  readonly tapped = output<string>()
  protected readonly id = `choice-${count++}`

  protected toggle(choice: string): void {
    this.tapped.emit(choice)
    this.choose.emit(this.chosen().includes(choice) ? undefined : choice)
  }
}

let count = 0
