import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { Store } from '@ngrx/store'
import { settingsFeature } from '../../state/settings/settings.feature'
import { Desk } from '../desk'
import { Mapping } from '../steps/map/mapping'
import { FootDrawing } from './foot-drawing'

/** The sole as it lies on the Bench, with the handles of the step that is open. One for all steps: it stays as it was moved and sized. */
@Component({
  selector: 'cr-bench-sole',
  imports: [FootDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.plan(); as plan) {
      <cr-foot-drawing
        [plan]="plan"
        [side]="desk.side()"
        [before]="desk.before()"
        [mapping]="mapped()"
        [room]="true"
        [untrimmed]="mapped() ? mapping.untrimmedOutline() : undefined"
        [stale]="desk.stale()"
        [pixelsPerMm]="pixelsPerMm()"
        [handles]="desk.handles()"
        [(landmarks)]="desk.landmarks"
        (pulled)="desk.pull($event)"
        (settled)="desk.settle()"
      />
    }
  `,
  host: { class: 'through' },
})
export class BenchSole {
  protected readonly desk = inject(Desk)
  protected readonly mapping = inject(Mapping)
  protected readonly pixelsPerMm = inject(Store).selectSignal(settingsFeature.selectPixelsPerMm)
  protected readonly mapped = computed(() => this.desk.step()?.judgesBalance === true)
}
