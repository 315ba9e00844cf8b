import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { RouterLink } from '@angular/router'
import type { Round } from '@crescent/core'
import { StopLines } from '../common/stop-lines'
import { dueText } from '../common/today'
import { FigureText } from '../drawing/figure-text'
import { duePlaces } from './by-place'

/** What is due within the week, place by place: one way out for all that stands there. */
@Component({
  selector: 'cr-round-places',
  imports: [RouterLink, StopLines],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (one of places(); track one.place) {
      <section [class.late]="one.first < day()">
        <h2>
          {{ one.place || 'No place said' }} <small>{{ dueText(one.first, day()) }}</small>
        </h2>
        <ul>
          @for (horse of one.horses; track horse.id) {
            <li>
              <a [routerLink]="['/stable', horse.id]">{{ horse.name }}</a>
              <span>{{ horse.work }}<cr-stop-lines [stops]="horse.stops" [short]="true" /></span>
              <b [class.stop]="horse.due! < day()">{{ dueText(horse.due, day()) }}</b>
            </li>
          }
          @for (step of one.steps; track step.id) {
            <li>
              <a [routerLink]="['/stable', step.horseId]">{{ step.horse }} {{ step.side }}</a>
              <span>{{ text.told(step.label) }}, {{ step.who }}</span>
              <b [class.stop]="step.date < day()">{{ dueText(step.date, day()) }}</b>
            </li>
          }
          @for (call of one.calls; track call.id) {
            <li>
              <a [routerLink]="['/stable', call.horseId]">{{ call.horse }}</a>
              <span>call {{ call.whom }}: {{ call.about }}</span>
              <b [class.stop]="call.date < day()">{{ dueText(call.date, day()) }}</b>
            </li>
          }
        </ul>
      </section>
    } @empty {
      <p class="muted">Nothing is due anywhere within seven days.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 340px), 1fr));
      gap: 12px;
      align-items: start;
    }
    section {
      padding: 10px 14px;
      background: var(--sheet);
      border: 1px solid var(--rule);
      border-left: 5px solid var(--rule-strong);
      border-radius: 6px;
    }
    .late {
      border-left-color: var(--stop);
    }
    h2 {
      margin: 0 0 4px;
      font-size: 1.15rem;
    }
    small {
      font-weight: 500;
      color: var(--ink-soft);
    }
    ul {
      padding: 0;
      margin: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      gap: 0 10px;
      align-items: center;
      min-height: 48px;
      padding: 4px 0;
      border-top: 1px solid var(--rule);
    }
    li span {
      grid-row: 2;
      font-size: 0.92rem;
      color: var(--ink-soft);
    }
    a {
      font-weight: 700;
    }
    .stop {
      color: var(--stop);
    }
  `,
})
export class RoundPlaces {
  readonly round = input.required<Round>()
  readonly day = input.required<string>()
  protected readonly text = inject(FigureText)
  protected readonly dueText = dueText
  protected readonly places = computed(() => duePlaces(this.round()))
}
