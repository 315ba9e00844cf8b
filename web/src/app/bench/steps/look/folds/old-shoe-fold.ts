import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { LOSS_REASONS, OLD_SHOE_FIGURES, WEARS, type Side } from '@crescent/core'
import { ChoiceRow } from '../choice-row'
import { asList, LookEdits } from './look-edits'
import { LookFigures } from './look-figures'
import { WearTaps } from './wear-taps'

/** The old shoe, before it is pulled. */
@Component({
  selector: 'cr-old-shoe-fold',
  imports: [ChoiceRow, LookFigures, WearTaps],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'through' },
  template: `
    <details class="fold" data-fields>
      <summary>
        The old shoe, before pulling <span class="muted">{{ side() }}</span>
      </summary>
      <cr-choice-row
        label="Lost since the last visit"
        [choices]="['lost']"
        [chosen]="foot().lost ? ['lost'] : []"
        (choose)="edits.setFoot(side(), 'lost', $event ? true : undefined)"
      />
      <cr-choice-row
        label="Still on, but loose"
        [choices]="['loose']"
        [chosen]="foot().loose ? ['loose'] : []"
        (choose)="edits.setFoot(side(), 'loose', $event ? true : undefined)"
      />
      @if (foot().lost || foot().loose) {
        <cr-choice-row
          label="How it likely came to that"
          [choices]="reasons"
          [chosen]="asList(foot().lossReason)"
          (choose)="edits.setFoot(side(), 'lossReason', $event)"
        />
      }
      <cr-choice-row
        label="Worn"
        [choices]="wears"
        [chosen]="asList(foot().oldShoe.wear)"
        (choose)="edits.setWear(side(), $event)"
      />
      <cr-wear-taps [side]="side()" />
      <cr-look-figures group="oldShoe" [figures]="figures" [side]="side()" />
    </details>
  `,
})
export class OldShoeFold {
  readonly side = input.required<Side>()
  protected readonly edits = inject(LookEdits)
  protected readonly foot = computed(() => this.edits.foot(this.side()))
  protected readonly wears = WEARS
  protected readonly reasons = LOSS_REASONS
  protected readonly figures = OLD_SHOE_FIGURES
  protected readonly asList = asList
}
