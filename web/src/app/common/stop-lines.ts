import { ChangeDetectionStrategy, Component, input } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import type { Stop } from '@crescent/core'

/** What stands in the way of the work on a horse, line by line: what was found, and what is to be done. */
@Component({
  selector: 'cr-stop-lines',
  imports: [MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (stop of stops(); track stop.title) {
      <p>
        <mat-icon svgIcon="stop" aria-hidden="true" />
        <strong>{{ stop.title }}.</strong> {{ short() ? '' : stop.action }}
      </p>
    }
  `,
  styles: `
    p {
      margin: 2px 0;
      color: var(--stop);
      font-size: 0.92rem;
    }
    mat-icon {
      width: 18px;
      height: 18px;
      vertical-align: -4px;
    }
  `,
})
export class StopLines {
  readonly stops = input.required<readonly Stop[]>()
  /** Only what was found: a list has no room for what to do. */
  readonly short = input(false)
}
