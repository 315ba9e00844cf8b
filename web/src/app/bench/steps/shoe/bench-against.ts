import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { Desk } from '../../desk'
import { AgainstView } from './against-view'
import { Shaping } from './shaping'

/** The shoe against another pattern of this foot or its pair. */
@Component({
  selector: 'cr-bench-against',
  imports: [AgainstView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.plan(); as plan) {
      @if (desk.draft(); as draft) {
        <cr-against-view
          [plan]="plan"
          [foot]="desk.foot()!"
          [shoe]="draft.shoe"
          [side]="desk.side()"
          [patterns]="shaping.patterns()"
          [worn]="desk.wears()?.id"
        />
      }
    }
  `,
  host: { class: 'through' },
})
export class BenchAgainst {
  protected readonly desk = inject(Desk)
  protected readonly shaping = inject(Shaping)
}
