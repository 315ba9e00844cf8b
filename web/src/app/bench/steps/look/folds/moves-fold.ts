import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { FRONT_LINES, INTERFERENCES, LANDINGS, SIDE_LINES, type Side } from '@crescent/core'
import { Fold } from '../../../../common/fold'
import { ChoiceRow } from '../choice-row'
import { asList, LookEdits } from './look-edits'

/** How it stands and moves, this foot and the whole horse. */
@Component({
  selector: 'cr-moves-fold',
  imports: [ChoiceRow, Fold],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'through' },
  template: `
    <details class="fold" [crFold]="true">
      <summary>
        How it stands and moves <span class="muted">{{ side() }}</span>
      </summary>
      @for (row of rows; track row.key) {
        <cr-choice-row
          [label]="row.label"
          [choices]="row.choices"
          [chosen]="asList(foot()[row.key])"
          (choose)="edits.setFoot(side(), row.key, $event)"
        />
      }
      <cr-choice-row
        label="Interference (the whole horse)"
        [choices]="interferences"
        [chosen]="edits.look().ways.interference"
        (tapped)="edits.flipInterference($event)"
      />
    </details>
  `,
})
export class MovesFold {
  readonly side = input.required<Side>()
  protected readonly edits = inject(LookEdits)
  protected readonly foot = computed(() => this.edits.foot(this.side()))
  protected readonly rows = [
    { key: 'landing', label: 'Lands', choices: LANDINGS },
    { key: 'frontLine', label: 'From in front', choices: FRONT_LINES },
    { key: 'sideLine', label: 'From the side', choices: SIDE_LINES },
  ] as const
  protected readonly interferences = INTERFERENCES
  protected readonly asList = asList
}
