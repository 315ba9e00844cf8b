import { ChangeDetectionStrategy, Component } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { RouterLink } from '@angular/router'

/** An address that leads nowhere. */
@Component({
  selector: 'cr-lost',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <h1>Nothing is kept here</h1>
      <p>The address leads nowhere. Perhaps it was copied in part.</p>
      <p><a mat-flat-button routerLink="/round">Go to the Round</a></p>
    </div>
  `,
  styles: `
    .page {
      display: grid;
      gap: 12px;
    }
  `,
})
export class Lost {}
