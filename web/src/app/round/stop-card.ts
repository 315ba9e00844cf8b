import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core'
import { RouterLink } from '@angular/router'
import type { RoundStop } from '@crescent/core'
import { StopLines } from '../common/stop-lines'
import { FigureText } from '../drawing/figure-text'

/** A horse on its day: where it stands, how long it takes, what it needs; put a day earlier or later with a tap. */
@Component({
  selector: 'cr-stop-card',
  imports: [RouterLink, StopLines],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <a [routerLink]="['/stable', stop().horse.id]">{{ stop().horse.name }}</a>
    <small>{{ stop().horse.place }}</small>
    <cr-stop-lines [stops]="stop().horse.stops" [short]="true" />
    @if (needs(); as words) {
      <small class="needs">{{ words }}</small>
    }
    <span class="ways">
      <button
        type="button"
        class="tap"
        [attr.aria-label]="stop().horse.name + ' one day earlier'"
        [disabled]="!canGoBack()"
        (click)="moved.emit(-1)"
      >
        ‹
      </button>
      <button
        type="button"
        class="tap"
        [attr.aria-label]="stop().horse.name + ' one day later'"
        (click)="moved.emit(1)"
      >
        ›
      </button>
    </span>
  `,
  styles: `
    :host {
      display: grid;
      gap: 1px;
      padding: 8px;
      background: var(--sheet);
      border: 1px solid var(--rule-strong);
      border-radius: 6px;
      cursor: grab;
    }
    a {
      font-weight: 700;
    }
    small {
      color: var(--ink-soft);
    }
    .needs {
      color: var(--ink);
    }
    .ways {
      display: flex;
      gap: 4px;
      justify-content: space-between;
    }
    .tap {
      min-width: 44px;
    }
  `,
})
export class StopCard {
  readonly stop = input.required<RoundStop>()
  /** There is a day before it that it can be put on. */
  readonly canGoBack = input(true)
  /** By so many days. */
  readonly moved = output<number>()

  private readonly text = inject(FigureText)
  protected readonly needs = computed(() => {
    const { bars, sizes } = this.stop()
    return [
      ...bars.map(({ name, section, count, total }) => {
        const bar = name ?? `${this.text.bare(section.width)} x ${this.text.length(section.thickness)}`
        return `${count} of ${bar}, together ${this.text.length(total)}`
      }),
      ...sizes.map(({ label, count }) => `${count} of “${label}”`),
    ].join('; ')
  })
}
