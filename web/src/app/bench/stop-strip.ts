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
  styles: `
    section {
      display: flex;
      gap: 8px;
      align-items: center;
      padding: 2px 12px;
      color: var(--stop);
      background: var(--stop-wash);
      border-bottom: 1px solid var(--stop);
    }
    p {
      display: -webkit-box;
      flex: 1;
      margin: 0;
      overflow: hidden;
      font-size: 0.92rem;
      line-height: 1.25;
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 2;
    }
    mat-icon {
      flex: none;
    }
  `,
})
export class StopStrip {
  protected readonly desk = inject(Desk)
  protected readonly looking = inject(Looking)
  protected readonly gates = computed(() => this.looking.stopsOf(this.desk.side()))
}
