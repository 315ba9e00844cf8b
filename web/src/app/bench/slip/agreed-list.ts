import { ChangeDetectionStrategy, Component, inject } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import { Advising } from '../steps/look/advising'

/** What was agreed while looking, beside the shoe while it is chosen, with what of it the shoe does not do. */
@Component({
  selector: 'cr-agreed-list',
  imports: [MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (advising.agreed().length > 0) {
      <section aria-label="Agreed while looking">
        <h3>Agreed while looking</h3>
        <ul>
          @for (one of advising.agreed(); track one.code) {
            <li>
              {{ one.text }}
              @if (one.not.length > 0) {
                <p role="status">
                  <mat-icon svgIcon="caution" aria-hidden="true" /><span
                    ><b>The shoe says otherwise:</b> {{ one.not.join('; ') }}.</span
                  >
                </p>
                @if (one.changes) {
                  <button type="button" class="tap" (click)="advising.again(one.code)">Do as agreed</button>
                }
              }
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    section {
      margin-bottom: 10px;
      padding: 8px 10px;
      background: var(--sheet-sunk);
      border-left: 4px solid var(--good);
    }
    h3 {
      font-size: 0.95rem;
    }
    ul {
      margin: 4px 0 0;
      padding-left: 18px;
    }
    p {
      display: flex;
      gap: 5px;
      margin: 4px 0;
      padding: 4px 6px;
      font-size: 0.9rem;
      color: var(--caution);
      background: var(--caution-wash);
    }
    mat-icon {
      flex: none;
      width: 17px;
      height: 17px;
    }
  `,
})
export class AgreedList {
  protected readonly advising = inject(Advising)
}
