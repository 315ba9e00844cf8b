import { ChangeDetectionStrategy, Component, input, output } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { MatProgressBar } from '@angular/material/progress-bar'

/** Reading, or could not be read: what a page shows until it has something to show. */
@Component({
  selector: 'cr-async-state',
  imports: [MatButton, MatIcon, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (failure()) {
      <div class="failed" role="alert">
        <mat-icon svgIcon="caution" aria-hidden="true" />
        <p>{{ failure() }}</p>
        <button mat-stroked-button (click)="again.emit()">Try again</button>
      </div>
    } @else {
      <mat-progress-bar mode="indeterminate" aria-label="Reading" />
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
  `,
})
export class AsyncState {
  readonly failure = input('')
  readonly again = output()
}
