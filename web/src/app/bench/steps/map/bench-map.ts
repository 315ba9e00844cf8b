import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { Desk } from '../../desk'
import { MapStep } from './map-step'
import { Mapping } from './mapping'
import { SideDrawing } from './side-drawing'

/** The measures of the foot. */
@Component({
  selector: 'cr-map-inputs',
  imports: [MapStep],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.told().draft; as draft) {
      <cr-map-step
        [draft]="draft"
        [side]="desk.side()"
        [foot]="desk.told().plan?.foot"
        [problems]="desk.planning().problems"
        [previous]="desk.previous()"
      />
    }
  `,
  host: { class: 'through' },
})
export class MapInputs {
  protected readonly desk = inject(Desk)
}

/** The foot from its side. */
@Component({
  selector: 'cr-map-side',
  imports: [SideDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.plan(); as plan) {
      <cr-side-drawing [foot]="plan.foot" [untrimmed]="mapping.untrimmed()" />
    }
  `,
  host: { class: 'through' },
})
export class MapSide {
  protected readonly desk = inject(Desk)
  protected readonly mapping = inject(Mapping)
}
