import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { RADIOGRAPH_FIGURES, radiographFigures, type RadiographPoints } from '@crescent/core/radiographs'
import { FigureChart } from '../../../../change/figure-chart'
import { shortDay } from '../../../../common/today'
import { FigureText } from '../../../../drawing/figure-text'
import { PicturesOver } from '../pictures/pictures-over'
import { KeptPlates } from './kept-plates'
import { figureWords } from './plate-figures'

/** As many radiographs stand side by side; of more, the first and the newest. */
const BESIDE = 4

/** Before and after: the figures of every radiograph of this foot side by side, and what has changed since the first. */
@Component({
  selector: 'cr-plate-course',
  imports: [FigureChart, PicturesOver],
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
      @if (charted(); as chart) {
        <label class="which"
          >Over time
          <select #which class="typed" aria-label="Figure over time" (change)="figure.set(which.value)">
            @for (row of followed(); track row.key) {
              <option [value]="row.key" [selected]="row.key === chart.key">{{ row.label }}</option>
            }
          </select></label
        >
        <cr-figure-chart
          [label]="chart.label"
          [points]="chart.points"
          [write]="chart.write"
          [kind]="chart.kind"
        />
      }
      @if (kept.ofFoot().length > 1) {
        <h3>Laid over each other</h3>
        <cr-pictures-over [pictures]="kept.ofFoot()" />
      }
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
    .which {
      display: flex;
      gap: 8px;
      align-items: center;
    }
    .which select {
      width: auto;
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
  /** The figures of every radiograph of this foot, the oldest first. */
  private readonly read = computed(() =>
    this.kept.ofFoot().map(({ id, date, marks, mmPerPixel }) => ({
      ...{ id, date },
      figures: radiographFigures(marks as RadiographPoints, mmPerPixel ?? 0.2).map((one) =>
        one.unit === 'mm' && mmPerPixel === null ? { ...one, value: null } : one,
      ),
    })),
  )
  protected readonly rows = computed(() => {
    const shown = new Set(this.columns().map(({ id }) => id))
    const read = this.read().filter(({ id }) => shown.has(id))
    return RADIOGRAPH_FIGURES.flatMap((kind, i) => {
      const values = read.map(({ figures }) => figures[i]!.value)
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

  /** The figure that is followed over time. */
  protected readonly figure = signal('soleTip')
  /** Those that were read more than once. */
  protected readonly followed = computed(() =>
    RADIOGRAPH_FIGURES.flatMap((kind, i) => {
      const points = this.read().flatMap(({ date, figures }) => {
        const value = figures[i]!.value
        return value === null ? [] : [{ date, value }]
      })
      if (points.length < 2) return []
      const write = (value: number) => figureWords(value, kind, this.text)
      return [{ key: kind.key, label: kind.label, points, write, kind: CHARTED[kind.unit] }]
    }),
  )
  protected readonly charted = computed(
    () => this.followed().find(({ key }) => key === this.figure()) ?? this.followed()[0],
  )
}

/** What a figure's axis is read in. */
const CHARTED = { mm: 'length', degrees: 'angle', share: 'share' } as const
