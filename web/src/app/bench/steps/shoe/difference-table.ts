import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core'
import type { Difference } from '@crescent/core/designs'
import { FigureText } from '../../../drawing/figure-text'

/** What differs between two designs, one in ember and whole, the other in steel and dashed. */
@Component({
  selector: 'cr-difference-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table aria-label="What differs">
      <thead>
        <tr>
          <th scope="col">What differs</th>
          <th scope="col"><span class="key"></span>{{ one() }}</th>
          <th scope="col"><span class="key theirs"></span>{{ other() }}</th>
        </tr>
      </thead>
      <tbody>
        @for (row of list(); track row.what) {
          <tr>
            <th scope="row">{{ row.what }}</th>
            <td>{{ tell(row, row.one) }}</td>
            <td>{{ tell(row, row.other) }}</td>
          </tr>
        } @empty {
          <tr>
            <td colspan="3">{{ none() }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: block;
    }
    .key {
      display: inline-block;
      width: 18px;
      margin-right: 6px;
      vertical-align: middle;
      border-top: 3px solid var(--ember);
    }
    .key.theirs {
      border-top: 3px dashed var(--steel-edge);
    }
    table {
      width: 100%;
      font-size: 0.92rem;
      border-collapse: collapse;
    }
    th,
    td {
      padding: 5px 8px 5px 0;
      font-weight: 400;
      text-align: left;
      vertical-align: top;
      border-bottom: 1px solid var(--rule);
    }
    td {
      font-weight: 650;
      font-variant-numeric: tabular-nums;
    }
    thead th {
      color: var(--ink-soft);
    }
  `,
})
export class DifferenceTable {
  readonly list = input.required<readonly Difference[]>()
  /** What stands on either side. */
  readonly one = input('here')
  readonly other = input('there')
  readonly none = input('Nothing: the two designs come to the same shoe on this foot.')

  private readonly text = inject(FigureText)

  protected tell({ kind }: Difference, value: number | string): string {
    if (typeof value === 'string') return value
    if (kind === 'weight') return this.text.weight(value)
    return this.text.figure(value, kind === 'words' ? 'number' : kind)
  }
}
