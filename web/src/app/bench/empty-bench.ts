import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { Router, RouterLink } from '@angular/router'
import { Store } from '@ngrx/store'
import { settingsFeature } from '../state/settings/settings.feature'
import { Help } from '../help/help'

/** The Bench with nothing on it: goes on with the last visit, or says where to start one. */
@Component({
  selector: 'cr-empty-bench',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <h1>Nothing on the bench</h1>
      <p>
        The Bench works on one visit. Pick who is due on the Round, or find a horse in the Stable and start
        its visit.
      </p>
      <p class="ways">
        <a mat-flat-button routerLink="/round">Go to the Round</a>
        <a mat-stroked-button routerLink="/stable">Find a horse</a>
      </p>
    </div>
  `,
  styles: `
    .page {
      display: grid;
      gap: 14px;
    }
    .ways {
      display: flex;
      gap: 10px;
    }
  `,
})
export class EmptyBench {
  constructor() {
    inject(Help).here.set('bench')
    const last = inject(Store).selectSignal(settingsFeature.selectLastVisit)()
    if (last) void inject(Router).navigate(['/bench', last, 'LF'], { replaceUrl: true })
  }
}
