import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core'
import {
  RADIOGRAPH_FIGURES,
  type RadiographFigure,
  type RadiographFigureKind,
} from '@crescent/core/radiographs'
import { FigureText } from '../../../../drawing/figure-text'
import { unusual } from './plate'
import { Radiograph } from './radiograph'

/** The figures that were read from a radiograph, with their error and with what is usual beside them. */
@Component({
  selector: 'cr-plate-figures',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table aria-label="Figures of the radiograph">
      <thead>
        <tr>
          <th scope="col">Figure</th>
          <th scope="col">Read</th>
          <th scope="col">Usual, from memory</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.key) {
          <tr
            [class.out]="row.out"
            [attr.data-figure]="row.key"
            (pointerenter)="lit.emit(row.key)"
            (pointerleave)="lit.emit('')"
          >
            <th scope="row" [title]="row.means">{{ row.label }}</th>
            @if (row.value) {
              <td>
                <b>{{ row.value }}</b>&ngsp;<small>± {{ row.error }}</small>
                @if (row.out) {
                  <span class="mark">outside the usual</span>
                }
              </td>
            } @else {
              <td class="muted">{{ row.lacks }}</td>
            }
            <td class="muted">{{ row.usual }}</td>
          </tr>
        }
      </tbody>
    </table>
    <p class="muted">
      ± is what half a millimetre of error at each place makes of it, one standard deviation.
    </p>
  `,
  styles: `
    table {
      width: 100%;
      border-collapse: collapse;
      font-size: 0.88rem;
    }
    th,
    td {
      padding: 4px 6px;
      text-align: left;
      vertical-align: baseline;
      border-bottom: 1px solid var(--rule);
    }
    th {
      font-weight: 550;
    }
    td {
      white-space: nowrap;
    }
    .out b {
      color: var(--warn);
    }
    .mark {
      display: block;
      font-size: 0.85em;
      color: var(--warn);
    }
  `,
})
export class PlateFigures {
  /** The figure that is pointed at; none where it is empty. */
  readonly lit = output<string>()
  private readonly radiograph = inject(Radiograph)
  private readonly text = inject(FigureText)

  protected readonly rows = computed(() => {
    const read = new Map(this.radiograph.figures().map((one) => [one.key, one]))
    return RADIOGRAPH_FIGURES.map((kind) => {
      const one = read.get(kind.key)!
      const { key, label, means, usual } = kind
      return {
        ...{ key, label, means, out: unusual(one), lacks: lacking(one) },
        value: one.value === null ? '' : figureWords(one.value, kind, this.text),
        error: one.uncertainty === null ? '' : errorWords(one.uncertainty, kind, this.text),
        usual: usual
          ? `${figureWords(usual[0], kind, this.text)} to ${figureWords(usual[1], kind, this.text)}`
          : '',
      }
    })
  })
}

/** A figure of a radiograph in the reader's unit. */
export function figureWords(value: number, { unit }: RadiographFigureKind, text: FigureText): string {
  // Rounded to nothing it is nothing, and not minus nothing.
  if (unit === 'degrees') return `${(Math.round(value * 10) / 10 + 0).toFixed(1)}°`
  return unit === 'share' ? `${(Math.round(value * 100) + 0).toFixed(0)} %` : text.fine(value)
}

/** The least of each that is written. */
const LEAST = { degrees: [0.05, 'under 0.1°'], share: [0.005, 'under 1 %'] } as const

/** An error of a figure: never nothing, since nothing is read without one. */
export function errorWords(error: number, kind: RadiographFigureKind, text: FigureText): string {
  const least = kind.unit === 'degrees' || kind.unit === 'share' ? LEAST[kind.unit] : undefined
  return least && error < least[0] ? least[1] : figureWords(error, kind, text)
}

/** What a figure needs before it can be read, in few words. */
function lacking({ lacks }: RadiographFigure): string {
  if (!lacks) return 'cannot be read'
  return lacks.length === 1 ? `needs ${lacks[0]!.toLowerCase()}` : `needs ${lacks.length} places more`
}
