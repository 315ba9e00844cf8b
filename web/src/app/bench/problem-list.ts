import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import type { Problem } from '@crescent/core'
import { FigureText } from '../drawing/figure-text'

/** Why there is no plan: every figure and every clash by name, whatever view is open. */
@Component({
  selector: 'cr-problem-list',
  imports: [MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="status">
      <p><mat-icon svgIcon="stop" aria-hidden="true" /><b>This cannot be made as it stands.</b></p>
      <ul>
        @for (one of written(); track $index) {
          <li>{{ one }}</li>
        }
      </ul>
      @if (drawn()) {
        <p class="muted">What is drawn are the last figures that were possible.</p>
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
      padding: 8px 12px;
      color: var(--stop);
      text-align: left;
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
    p {
      display: flex;
      gap: 6px;
      align-items: center;
    }
    ul {
      margin: 2px 0;
      padding-left: 30px;
    }
    mat-icon {
      flex: none;
      width: 20px;
      height: 20px;
    }
  `,
})
export class ProblemList {
  readonly problems = input.required<readonly Problem[]>()
  /** An earlier plan is still in view. */
  readonly drawn = input(false)
  private readonly text = inject(FigureText)
  protected readonly written = computed(() => this.problems().map(this.text.problem))
}
