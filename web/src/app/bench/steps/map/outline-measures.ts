import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core'
import type { TracedFoot } from '@crescent/core'
import { FigureText } from '../../../drawing/figure-text'

/** What was read from an outline, large enough to see whether it can be. */
@Component({
  selector: 'cr-outline-measures',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dl data-testid="outline-measures">
      <div>
        <dt>Width</dt>
        <dd>{{ text.length(foot().width) }}</dd>
      </div>
      <div>
        <dt>Length</dt>
        <dd>{{ text.length(foot().length) }}</dd>
      </div>
      <div>
        <dt>Heel width</dt>
        <dd>{{ text.length(foot().heelWidth) }}</dd>
      </div>
    </dl>
  `,
  styles: `
    dl {
      display: grid;
      grid-template-columns: repeat(3, 1fr);
      gap: 6px;
      margin: 8px 0;
    }
    dt {
      color: var(--ink-soft);
      font-size: 0.9rem;
    }
    dd {
      margin: 0;
      font-size: 1.3rem;
      font-weight: 650;
    }
  `,
})
export class OutlineMeasures {
  readonly foot = input.required<TracedFoot>()
  protected readonly text = inject(FigureText)
}
