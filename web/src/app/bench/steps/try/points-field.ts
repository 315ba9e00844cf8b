import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { FigureText } from '../../../drawing/figure-text'
import { Trying } from './trying'

/** The shape on the anvil as a list of points along the middle of its web. */
@Component({
  selector: 'cr-points-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label>
      Points along the middle of the web, outer heel to inner heel, in {{ text.style().unit }}
      <textarea
        #box
        rows="8"
        spellcheck="false"
        [value]="trying.anvil().points ?? ''"
        [placeholder]="example()"
        (input)="trying.put({ points: box.value }, 'points')"
        (blur)="trying.settle()"
      ></textarea>
    </label>
    <small>One a line: across and forward, from any place, told apart by a semicolon or a blank.</small>
  `,
  styles: `
    label {
      display: block;
      margin-top: 8px;
      font-weight: 600;
    }
    textarea {
      display: block;
      width: 100%;
      margin: 4px 0;
      padding: 8px;
      font: inherit;
      font-variant-numeric: tabular-nums;
      color: inherit;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
    }
    small {
      color: var(--ink-soft);
    }
  `,
})
export class PointsField {
  protected readonly trying = inject(Trying)
  protected readonly text = inject(FigureText)
  protected readonly example = computed(() =>
    this.text.style().unit === 'in' ? '1 3/4; -2 1/2\n2; -1 3/4' : '44; -62\n50; -44',
  )
}
