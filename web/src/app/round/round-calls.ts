import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { RouterLink } from '@angular/router'
import type { RoundCall } from '@crescent/core'
import { CallActs } from '../calls/call-acts'
import { Phone } from '../common/phone'
import { dueText } from '../common/today'

/** Calls that were promised and wait: late ones stand out until they were made. */
@Component({
  selector: 'cr-round-calls',
  imports: [MatButton, Phone, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-label="Calls">
      <h2>
        Calls promised <span class="count">{{ calls().length }}</span>
      </h2>
      <ul>
        @for (call of calls(); track call.id) {
          <li [class.late]="call.date < day()">
            <a class="name" [routerLink]="['/stable', call.horseId]">{{ call.horse }}</a>
            <span class="what">{{ call.about }}</span>
            <span class="where">
              {{ call.whom }}
              @if (call.phone) {
                <cr-phone [number]="call.phone" />
              }
            </span>
            <span class="when">{{ dueText(call.date, day()) }}</span>
            <button mat-stroked-button (click)="called(call.id)">Called</button>
          </li>
        }
      </ul>
    </section>
  `,
  styleUrl: './round-page.scss',
  styles: `
    .late {
      border-left: 5px solid var(--stop);
    }
    .late .when {
      color: var(--stop);
    }
    .where a {
      display: block;
      white-space: nowrap;
    }
  `,
})
export class RoundCalls {
  readonly calls = input.required<readonly RoundCall[]>()
  readonly day = input.required<string>()
  /** Something became of one of them: the round is to be read again. */
  readonly changed = output()
  protected readonly dueText = dueText
  private readonly acts = inject(CallActs)

  protected async called(id: string): Promise<void> {
    if (await this.acts.calledBy(id, this.day())) this.changed.emit()
  }
}
