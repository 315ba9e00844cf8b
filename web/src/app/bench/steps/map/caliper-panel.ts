import { ChangeDetectionStrategy, Component, inject, output, signal } from '@angular/core'
import { MatIconButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { KeyboardCaliper } from './keyboard-caliper'

/**
 * A caliper to try things with: it sends its reading as keystrokes to the figure that was last in hand and goes on to
 * the next, as one on a cable does.
 */
@Component({
  selector: 'cr-caliper-panel',
  imports: [MatIcon, MatIconButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-label="Caliper on screen">
      <header>
        <h3>Caliper on screen</h3>
        <button mat-icon-button aria-label="Put the caliper away" (click)="closed.emit()">
          <mat-icon svgIcon="close" />
        </button>
      </header>
      <p class="reading" aria-live="polite">{{ shown() }}</p>
      <input
        type="range"
        min="0"
        max="250"
        step="0.05"
        aria-label="Opening of the jaws"
        [attr.aria-valuetext]="shown()"
        [value]="opening()"
        (input)="opening.set(number($event))"
      />
      <div class="acts">
        <button class="tap" type="button" (click)="unit.set(unit() === 'mm' ? 'in' : 'mm')">
          {{ unit() }}
        </button>
        <button type="button" class="tap chief" (click)="send()">Send</button>
      </div>
      <p class="hint" role="status">{{ told() }}</p>
    </section>
  `,
  styles: `
    section {
      margin: 0 0 12px;
      padding: 6px 12px 10px;
      background: var(--sheet-sunk);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
    }
    header {
      display: flex;
      align-items: center;
      justify-content: space-between;
    }
    h3 {
      margin: 0;
      font-size: 0.95rem;
    }
    .reading {
      padding: 4px 10px;
      font-size: 1.5rem;
      font-weight: 700;
      text-align: right;
      background: var(--paper);
      border-radius: 4px;
    }
    input {
      width: 100%;
      height: 44px;
      accent-color: var(--ember);
    }
    .acts {
      display: grid;
      grid-template-columns: 1fr 2fr;
      gap: 6px;
    }
    .hint {
      margin-top: 6px;
      font-size: 0.85rem;
      color: var(--ink-soft);
    }
  `,
})
export class CaliperPanel {
  readonly closed = output()

  private readonly caliper = inject(KeyboardCaliper)
  protected readonly opening = signal(125)
  protected readonly unit = signal<'mm' | 'in'>('mm')
  protected readonly told = signal(
    'Touch a field, then send: the reading is typed in and the next field is ready.',
  )

  protected shown(): string {
    // What the caliper's own little screen shows: digits, and its unit behind them.
    const reading = this.unit() === 'mm' ? this.opening().toFixed(2) : (this.opening() / 25.4).toFixed(4)
    return [reading, this.unit()].join(' ')
  }

  protected send(): void {
    const field = this.caliper.type(this.shown())
    this.told.set(
      field ? `Sent ${this.shown()} to ${field}.` : 'Touch the field that is to take the reading first.',
    )
  }

  protected number = (event: Event): number => Number((event.target as HTMLInputElement).value)
}
