import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import { RouterLink } from '@angular/router'
import type { RoundStep } from '@crescent/core'
import { dueText } from '../common/today'
import { FigureText } from '../drawing/figure-text'

/** Steps of courses that are overdue or come within the week: nothing is forgotten silently. */
@Component({
  selector: 'cr-round-steps',
  imports: [MatIcon, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-label="Courses">
      <h2>
        Courses <span class="count">{{ steps().length }}</span>
      </h2>
      <ul>
        @for (step of steps(); track step.id) {
          <li [class.late]="step.date < day()">
            <a class="name" [routerLink]="['/stable', step.horseId]">{{ step.horse }} {{ step.side }}</a>
            <span class="what">{{ text.told(step.label) }}, {{ step.who }}</span>
            <span class="where">{{ step.place }}</span>
            <span class="when">
              @if (step.date < day()) {
                <mat-icon svgIcon="caution" aria-hidden="true" />
              }
              {{ dueText(step.date, day()) }}
            </span>
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
    mat-icon {
      width: 18px;
      height: 18px;
      vertical-align: -3px;
    }
  `,
})
export class RoundSteps {
  readonly steps = input.required<readonly RoundStep[]>()
  readonly day = input.required<string>()
  protected readonly text = inject(FigureText)
  protected readonly dueText = dueText
}
