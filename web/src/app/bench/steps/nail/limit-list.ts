import { ChangeDetectionStrategy, Component, input, output } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import { limitWords, overrulable, type StandingLimit } from '@crescent/core'

/** What limits the nails of this foot, who says so, and what was said where it was overruled. */
@Component({
  selector: 'cr-limit-list',
  imports: [MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (limit of limits(); track $index) {
      <section [class.overruled]="limit.overruled !== undefined">
        <p class="rule">
          <mat-icon svgIcon="caution" aria-hidden="true" />
          @if (limit.rule === 'words') {
            The vet’s limit: {{ limit.why }}
          } @else {
            {{ capital(words(limit)) }}
          }
        </p>
        @if (limit.rule !== 'words') {
          <p>{{ limit.why }}</p>
        }
        @if (limit.overruled !== undefined) {
          <p><strong>Overruled:</strong> {{ limit.overruled }}</p>
        }
      </section>
    }
    @if (ruled()) {
      <button type="button" class="tap" (click)="overrule.emit()">Overrule, with a reason</button>
    }
    @if (overruled()) {
      <button type="button" class="tap" (click)="hold.emit()">Hold to the limits again</button>
    }
  `,
  styles: `
    :host {
      display: block;
      margin-bottom: 8px;
    }
    section {
      margin-bottom: 6px;
      padding: 6px 10px;
      background: var(--stop-wash);
      border-left: 4px solid var(--stop);
    }
    section.overruled {
      background: var(--caution-wash);
      border-left-color: var(--caution);
    }
    p {
      margin: 0;
      font-size: 0.9rem;
    }
    .rule {
      font-weight: 650;
    }
    mat-icon {
      width: 18px;
      height: 18px;
      vertical-align: -4px;
    }
  `,
})
export class LimitList {
  readonly limits = input.required<readonly StandingLimit[]>()
  readonly overrule = output()
  readonly hold = output()

  protected readonly words = limitWords
  protected capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
  protected ruled = (): boolean => overrulable(this.limits()).length > 0
  protected overruled = (): boolean => this.limits().some(({ overruled }) => overruled !== undefined)
}
