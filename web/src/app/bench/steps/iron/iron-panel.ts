import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { forgeCard } from '@crescent/core'
import { FigureText } from '../../../drawing/figure-text'
import { Forging } from './forging'
import { LogCut } from './log-cut'
import { TrueSizeFiles } from './true-size'

/** What is chalked before the first heat, and what goes out as a file. */
@Component({
  selector: 'cr-iron-panel',
  imports: [LogCut, TrueSizeFiles],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (card(); as card) {
      <h3>Chalk on the anvil</h3>
      <ul class="chalk" data-testid="chalk">
        @for (measure of card.chalk; track measure.what) {
          <li>
            <span>{{ measure.what }}</span> <b>{{ text.length(measure.value) }}</b>
          </li>
        }
      </ul>
      <p class="muted">{{ card.stamp }}</p>
      @if (forging.plan()?.iron?.size === undefined) {
        <cr-log-cut />
      }
      <cr-true-size />
    } @else {
      <p>The work follows from the shoe: measure the foot first.</p>
    }
  `,
  styles: `
    h3 {
      margin: 0 0 6px;
      font-size: 1rem;
    }
    .chalk {
      padding: 0;
      margin: 0 0 8px;
      list-style: none;
    }
    .chalk li {
      display: flex;
      gap: 8px;
      align-items: baseline;
      justify-content: space-between;
      padding: 4px 0;
      border-bottom: 1px solid var(--rule);
    }
    .chalk b {
      font-size: 1.4rem;
      font-variant-numeric: tabular-nums;
      white-space: nowrap;
    }
    p {
      font-size: 0.9rem;
    }
  `,
})
export class IronPanel {
  protected readonly forging = inject(Forging)
  protected readonly text = inject(FigureText)
  protected readonly card = computed(() => {
    const plan = this.forging.plan()
    return plan && forgeCard(plan)
  })
}
