import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { asRead } from './no-answer'

/** Reading, or could not be read: what a page shows until it has something to show. */
@Component({
  selector: 'cr-async-state',
  imports: [MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (failure()) {
      <div class="failed" role="alert">
        <mat-icon svgIcon="caution" aria-hidden="true" />
        <p>{{ words() }}</p>
        <button mat-stroked-button (click)="again.emit()">Try again</button>
      </div>
    } @else {
      <progress aria-label="Reading"></progress>
    }
  `,
  styles: `
    .failed {
      display: flex;
      align-items: center;
      gap: 12px;
      flex-wrap: wrap;
      padding: 16px;
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
    p {
      flex: 1 1 240px;
    }
    progress {
      display: block;
      width: 100%;
      height: 4px;
      accent-color: var(--ember);
    }
  `,
})
export class AsyncState {
  readonly failure = input('')
  readonly again = output()
  protected readonly words = computed(() => asRead(this.failure()))
}
