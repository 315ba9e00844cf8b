import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { Desk } from '../../desk'
import { CompareView } from './compare-view'
import { Mapping } from './mapping'

/** The foot laid over its pair, over itself mirrored, and over its earlier visits. */
@Component({
  selector: 'cr-bench-compare',
  imports: [CompareView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.plan(); as plan) {
      <cr-compare-view [foot]="plan.foot" [side]="desk.side()" [others]="mapping.others()" />
    }
  `,
  host: { class: 'through' },
})
export class BenchCompare {
  protected readonly desk = inject(Desk)
  protected readonly mapping = inject(Mapping)

  constructor() {
    this.mapping.readHistory()
  }
}
