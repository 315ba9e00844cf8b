import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import { Desk } from './desk'
import { Looking } from './steps/look/looking'

/** Over every step of the Bench, while something of this foot calls for the vet or lets no shoe be put on. */
@Component({
  selector: 'cr-stop-strip',
  imports: [MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (gates()[0]; as gate) {
      <section aria-label="Stop" data-testid="stop-strip">
        <mat-icon svgIcon="stop" aria-hidden="true" />
        <p>
          <strong>{{ gate.title }}.</strong>
          {{ gate.forbids ? 'No shoe over it.' : 'Calls for the vet.' }}
          {{ gates().length > 1 ? 'And ' + (gates().length - 1) + ' more.' : '' }}
          @if (gate.words) {
            <span>Told: {{ gate.words }}</span>
          }
        </p>
        <button type="button" class="tap" (click)="looking.answerGates(desk.side())">Answer</button>
      </section>
    }
  `,
  styleUrl: '../common/stop-strip.scss',
})
export class StopStrip {
  protected readonly desk = inject(Desk)
  protected readonly looking = inject(Looking)
  protected readonly gates = computed(() => this.looking.stopsOf(this.desk.side()))
}
