import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { UNTRIMMED_FIGURES, type Side } from '@crescent/core'
import { LookEdits } from './look-edits'
import { LookFigures } from './look-figures'
import { WordsField } from './words-field'

/** The foot before the trim. */
@Component({
  selector: 'cr-untrimmed-fold',
  imports: [LookFigures, WordsField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'through' },
  template: `
    <details class="fold" data-fields>
      <summary>
        The foot before the trim <span class="muted">{{ side() }}</span>
      </summary>
      <cr-look-figures group="untrimmed" [figures]="figures" [side]="side()" />
      <cr-words-field
        label="Sole plane"
        [words]="foot().solePlane"
        (typed)="edits.setFoot(side(), 'solePlane', $event)"
      />
    </details>
  `,
})
export class UntrimmedFold {
  readonly side = input.required<Side>()
  protected readonly edits = inject(LookEdits)
  protected readonly foot = computed(() => this.edits.foot(this.side()))
  protected readonly figures = UNTRIMMED_FIGURES
}
