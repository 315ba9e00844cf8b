import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { GOINGS, LIVINGS, WORKS } from '@crescent/core'
import { ChoiceRow } from '../choice-row'
import { asList, LookEdits } from './look-edits'
import { WordsField } from './words-field'

/** What the horse does, on what, and how it lives. */
@Component({
  selector: 'cr-ways-fold',
  imports: [ChoiceRow, WordsField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'through' },
  template: `
    <details class="fold">
      <summary>
        Work and going <span class="muted">{{ told() }}</span>
      </summary>
      @for (row of rows; track row.key) {
        <cr-choice-row
          [label]="row.label"
          [choices]="row.choices"
          [chosen]="asList(ways()[row.key])"
          (choose)="edits.setWays(row.key, $event)"
        />
      }
      <cr-words-field
        label="Note on this visit"
        [words]="ways().notes"
        (typed)="edits.setWays('notes', $event)"
      />
    </details>
  `,
})
export class WaysFold {
  protected readonly edits = inject(LookEdits)
  protected readonly ways = computed(() => this.edits.look().ways)
  protected readonly rows = [
    { key: 'work', label: 'Work', choices: WORKS },
    { key: 'going', label: 'Going', choices: GOINGS },
    { key: 'living', label: 'Lives', choices: LIVINGS },
  ] as const
  protected readonly asList = asList
  protected readonly told = computed(() => {
    const { work, going, living } = this.ways()
    return [work, going, living].filter(Boolean).join(', ') || 'not said'
  })
}
