import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { Desk } from '../../desk'
import { SolidView } from './solid-view'

/** The shoe in the round. In a file of its own: it brings the third dimension with it. */
@Component({
  selector: 'cr-bench-solid',
  imports: [SolidView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.plan(); as plan) {
      <cr-solid-view [plan]="plan" [side]="desk.side()" />
    }
  `,
  host: { class: 'through' },
})
export class BenchSolid {
  protected readonly desk = inject(Desk)
}
