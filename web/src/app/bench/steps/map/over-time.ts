import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { ChangeChart } from '../../../change/change-chart'
import { AsyncState } from '../../../common/async-state'
import { Desk } from '../../desk'
import { Mapping } from './mapping'

/** The foot's figures over all its visits. */
@Component({
  selector: 'cr-over-time',
  imports: [AsyncState, ChangeChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-label="Change over time">
      @if (mapping.history(); as history) {
        <cr-change-chart
          [history]="history"
          [side]="desk.side()"
          [cycleWeeks]="desk.page()!.horse.cycleWeeks"
          [today]="desk.page()!.visit.date"
        />
      } @else {
        <cr-async-state [failure]="mapping.historyFailure()" (again)="mapping.readHistory()" />
      }
    </section>
  `,
  styles: `
    :host {
      display: block;
      min-height: 0;
      padding-top: 56px;
      background: var(--paper);
    }
    section {
      height: 100%;
      padding: 0 16px 16px;
      overflow-y: auto;
    }
    @media (max-width: 819px), (max-height: 519px) {
      :host {
        padding-top: 0;
      }
      section {
        padding: 12px 12px 0;
      }
    }
  `,
})
export class OverTime {
  protected readonly desk = inject(Desk)
  protected readonly mapping = inject(Mapping)

  constructor() {
    this.mapping.readHistory()
  }
}
