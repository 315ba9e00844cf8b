import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { RADIOGRAPH_FIGURES, radiographFigures, type RadiographPoints } from '@crescent/core/radiographs'
import { shortDay } from '../../../../common/today'
import { FigureText } from '../../../../drawing/figure-text'
import { KeptPlates } from './kept-plates'
import { figureWords } from './plate-figures'

/** As many radiographs stand side by side; of more, the first and the newest. */
const BESIDE = 4

/** Before and after: the figures of every radiograph of this foot side by side, and what has changed since the first. */
@Component({
  selector: 'cr-plate-course',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (columns().length > 0) {
      <h3>Kept radiographs of this foot</h3>
      <div class="wide">
        <table aria-label="Before and after">
          <thead>
            <tr>
              <th scope="col">Figure</th>
              @for (column of columns(); track column.id) {
                <th scope="col">
                  <button type="button" class="tap" (click)="kept.open(column)">
                    {{ day(column.date) }}
                  </button>
                </th>
              }
              @if (columns().length > 1) {
                <th scope="col">Since the first</th>
              }
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.key) {
              <tr>
                <th scope="row">{{ row.label }}</th>
                @for (value of row.values; track $index) {
                  <td>{{ value }}</td>
                }
                @if (columns().length > 1) {
                  <td>
                    <b>{{ row.change }}</b>
                  </td>
                }
              </tr>
            }
          </tbody>
        </table>
      </div>
      <p class="muted">Each as it was marked then. A change smaller than its ± is none.</p>
    }
  `,
  styles: `
    h3 {
      margin: 8px 0 4px;
      font-size: 1rem;
    }
    .wide {
      overflow-x: auto;
    }
    table {
      border-collapse: collapse;
      font-size: 0.9rem;
    }
    th,
    td {
      padding: 4px 8px;
      text-align: left;
      white-space: nowrap;
      border-bottom: 1px solid var(--rule);
    }
    th {
      font-weight: 550;
    }
    button {
      padding-inline: 6px;
    }
  `,
})
export class PlateCourse {
  protected readonly kept = inject(KeptPlates)
  private readonly text = inject(FigureText)
  protected readonly day = shortDay

  protected readonly columns = computed(() => {
    const all = this.kept.ofFoot()
    return all.length <= BESIDE ? all : [all[0]!, ...all.slice(1 - BESIDE)]
  })
  protected readonly rows = computed(() => {
    const read = this.columns().map(({ marks, mmPerPixel }) =>
      radiographFigures(marks as RadiographPoints, mmPerPixel ?? 0.2).map((one) =>
        one.unit === 'mm' && mmPerPixel === null ? { ...one, value: null } : one,
      ),
    )
    return RADIOGRAPH_FIGURES.flatMap((kind, i) => {
      const values = read.map((figures) => figures[i]!.value)
      if (values.every((value) => value === null)) return []
      const [first, last] = [values[0] ?? null, values.at(-1) ?? null]
      const told = (value: number | null) => (value === null ? '' : figureWords(value, kind, this.text))
      const by = first === null || last === null ? undefined : last - first
      const change = by === undefined ? '' : figureWords(by, kind, this.text)
      return [
        {
          ...{ key: kind.key, label: kind.label, values: values.map(told) },
          change: by !== undefined && by > 0 ? `+${change}` : change,
        },
      ]
    })
  })
}
