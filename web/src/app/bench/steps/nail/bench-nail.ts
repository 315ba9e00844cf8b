import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { Desk } from '../../desk'
import { Shaping } from '../shoe/shaping'
import { NailStep } from './nail-step'

/** School, size and holes; what is missing where they do not follow yet. */
@Component({
  selector: 'cr-nail-inputs',
  imports: [NailStep],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.told().plan; as plan) {
      @if (desk.told().draft; as draft) {
        <cr-nail-step
          [draft]="draft"
          [plan]="plan"
          [problems]="desk.planning().problems"
          [sizes]="shaping.workshop().nailSizes"
          [turningRadius]="shaping.workshop().turningRadius"
          [lastHoles]="shaping.lastHoles()"
          (shelf)="shaping.shelf()"
        />
      }
    } @else if (desk.missing().length > 0) {
      <p>The nails follow from the foot: measure it first.</p>
    } @else {
      <p>The nails follow from the shoe: put right what cannot be made.</p>
    }
  `,
  host: { class: 'through' },
})
export class NailInputs {
  protected readonly desk = inject(Desk)
  protected readonly shaping = inject(Shaping)
}
