import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { BEARING_PARTS } from '@crescent/core/going'
import { FigureText } from '../../../../drawing/figure-text'
import type { Stood } from './stood'

interface Row {
  label: string
  mine: string
  theirs?: string
  /** The other carries or sinks more. */
  heading?: boolean
}

/** How one or two designs stand, figure by figure. */
@Component({
  selector: 'cr-standing-figures',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <thead>
        <tr>
          <th scope="col">Figure</th>
          <th scope="col">{{ mineName() }}</th>
          @if (theirs()) {
            <th scope="col">{{ theirsName() }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.label) {
          <tr [class.heading]="row.heading">
            <th scope="row">{{ row.label }}</th>
            <td>{{ row.mine }}</td>
            @if (theirs()) {
              <td>{{ row.theirs }}</td>
            }
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    table {
      width: 100%;
      font-variant-numeric: tabular-nums;
      border-collapse: collapse;
    }
    th,
    td {
      padding: 4px 8px;
      text-align: right;
      border-bottom: 1px solid var(--rule);
    }
    th[scope='row'],
    thead th:first-child {
      font-weight: 450;
      text-align: left;
    }
    td {
      font-weight: 650;
    }
    .heading th {
      padding-top: 12px;
      font-weight: 700;
    }
  `,
})
export class StandingFigures {
  readonly mineName = input.required<string>()
  readonly theirsName = input('')
  readonly mine = input.required<Stood>()
  readonly theirs = input<Stood | undefined>()

  private readonly text = inject(FigureText)

  protected readonly rows = computed((): Row[] => {
    const [mine, theirs] = [this.mine(), this.theirs()]
    const row = (label: string, read: (stood: Stood) => string): Row => ({
      label,
      mine: read(mine),
      ...(theirs && { theirs: read(theirs) }),
    })
    const parts = BEARING_PARTS.filter(
      ({ key }) => mine.going.shares[key] !== undefined || theirs?.going.shares[key] !== undefined,
    )
    return [
      row('Toe sinks', ({ going }) => this.text.fine(going.sink.toe)),
      row('Outer heel sinks', ({ going }) => this.text.fine(going.sink.lateralHeel)),
      row('Inner heel sinks', ({ going }) => this.text.fine(going.sink.medialHeel)),
      row('Heels down by', ({ going }) => degrees(going.tilt.foreAft)),
      row('Outer side down by', ({ going }) => degrees(going.tilt.sideways)),
      row('Hoof against bare on a hard floor', ({ fetlock }) => degrees(fetlock.hoof)),
      { label: 'Who carries', mine: '', ...(theirs && { theirs: '' }), heading: true },
      ...parts.map(({ key, label }) => row(label, ({ going }) => share(going.shares[key]))),
    ]
  })
}

const degrees = (value: number): string =>
  `${value > 0.05 ? '+' : ''}${(Math.round(value * 10) / 10 || 0).toFixed(1)}°`
const share = (value: number | undefined): string =>
  value === undefined ? '–' : `${Math.round(value * 100)} %`
