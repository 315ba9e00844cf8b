import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { Desk } from '../../desk'
import { BalancePanel } from './balance-panel'
import { Mapping } from './mapping'

/** Balance and breakover of the foot by every school, in the slip. */
@Component({
  selector: 'cr-bench-balance',
  imports: [BalancePanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.told().plan; as plan) {
      <cr-balance-panel
        [plan]="plan"
        [worn]="mapping.wornBalance()"
        (use)="mapping.useSchool($event)"
        (setToe)="mapping.setToeBack($event)"
      />
    }
    @if (mapping.oldShoeText(); as told) {
      <p>{{ told }}</p>
    }
  `,
  styles: `
    p {
      margin-bottom: 10px;
      font-size: 0.92rem;
      font-weight: 600;
    }
  `,
})
export class BenchBalance {
  protected readonly desk = inject(Desk)
  protected readonly mapping = inject(Mapping)
}
