import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import { bends } from '@crescent/core'
import { MATCHED } from '@crescent/core/anvil'
import { FigureText } from '../../../drawing/figure-text'
import type { RankedRow } from './sizing'

/** One size as it stands to the foot: what it would need, why, and how many hang on the van. */
@Component({
  selector: 'cr-size-card',
  imports: [MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <h3>
        {{ row().label }} <small>{{ row().facts.range }}</small>
      </h3>
      @if (row().possible) {
        <span class="need" data-testid="need">{{ need() }}</span>
      } @else {
        <span class="no"><mat-icon svgIcon="stop" aria-hidden="true" />not for this foot</span>
      }
    </header>
    <ul>
      @for (reason of reasons(); track reason) {
        <li>{{ reason }}</li>
      }
    </ul>
    <p class="van" [class.out]="row().facts.onVan === 0">
      {{ row().facts.onVan === 0 ? 'None on the van' : row().facts.onVan + ' on the van' }}
    </p>
    <div class="acts">
      @if (used()) {
        <strong class="used">On the Bench</strong>
      } @else {
        <button type="button" class="tap main" [disabled]="!row().possible" (click)="take.emit()">
          Use it
        </button>
      }
      @if (!shown()) {
        <button type="button" class="tap" [attr.aria-pressed]="over()" (click)="lay.emit()">
          {{ over() ? 'Take off' : 'Lay over' }}
        </button>
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
      padding: 8px 10px;
      background: var(--sheet);
      border: 1.5px solid var(--rule);
      border-radius: 6px;
    }
    :host(.shown) {
      border-color: var(--ember);
    }
    header {
      display: flex;
      gap: 8px;
      align-items: baseline;
      justify-content: space-between;
    }
    h3 {
      margin: 0;
      font-size: 1.35rem;
      font-variant-numeric: tabular-nums;
    }
    h3 small {
      font-size: 0.85rem;
      font-weight: 500;
      color: var(--ink-soft);
    }
    .need {
      font-size: 1.05rem;
      font-weight: 700;
      white-space: nowrap;
    }
    .no {
      display: inline-flex;
      gap: 4px;
      align-items: center;
      font-weight: 650;
      color: var(--stop);
    }
    .no mat-icon {
      width: 18px;
      height: 18px;
    }
    ul {
      margin: 4px 0;
      padding-left: 1.1em;
      font-size: 0.92rem;
      line-height: 1.35;
    }
    .van {
      margin: 2px 0 6px;
      font-size: 0.85rem;
      color: var(--ink-soft);
    }
    .van.out {
      font-weight: 650;
      color: var(--stop);
    }
    .acts {
      display: flex;
      gap: 8px;
      align-items: center;
      min-height: 44px;
    }
    .main {
      font-weight: 700;
    }
    .used {
      color: var(--ember);
    }
  `,
})
export class SizeCard {
  readonly row = input.required<RankedRow>()
  /** It lies on the Bench. */
  readonly used = input(false)
  /** It is the one in question, drawn full. */
  readonly shown = input(false)
  /** It is laid over that one. */
  readonly over = input(false)
  readonly take = output()
  readonly lay = output()

  protected readonly text = inject(FigureText)
  protected readonly reasons = computed(() => this.row().reasons.map(this.text.told))
  protected readonly need = computed(() => {
    const by = this.row().openBy
    if (Math.abs(by) < MATCHED) {
      if (!this.row().toeOff) return 'as it is'
      return this.row().reshapeToe > 0 ? 'point its toe' : 'round its toe'
    }
    if (!bends(this.row().facts.kind)) return `trim ${this.text.length(Math.abs(by))}`
    return `${by > 0 ? 'open' : 'close'} ${this.text.length(Math.abs(by))}`
  })
}
