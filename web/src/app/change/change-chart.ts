import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core'
import { SIDES, TOLD_OVER, type Followed, type Series, type Side } from '@crescent/core'
import { addWeeks, formatISO, parseISO } from 'date-fns'
import { NgxEchartsDirective, provideEchartsCore } from 'ngx-echarts'
import { DayField } from '../common/day-field'
import { longDay } from '../common/today'
import { FigureText } from '../drawing/figure-text'
import { chartFrame, echarts, measuredLine } from './chart-frame'
import { inkColours } from './ink-colours'
import { changeOf, type History } from './change-data'

const LABELS: Record<Followed, string> = {
  width: 'Width',
  length: 'Length',
  heelWidth: 'Heel width',
  toeAngle: 'Toe angle',
  heelAngle: 'Heel angle',
  proportion: 'Share ahead',
}
const WEEKS_A_YEAR = 365.25 / 7

/** A foot over time: each figure at its visits, its line, and what it will likely measure on a day to come. */
@Component({
  selector: 'cr-change-chart',
  imports: [DayField, NgxEchartsDirective],
  providers: [provideEchartsCore({ echarts })],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (!side()) {
      <div class="row" role="group" aria-label="Foot">
        @for (one of sides; track one) {
          <button
            class="tap"
            type="button"
            [attr.aria-pressed]="foot() === one"
            (click)="chosenSide.set(one)"
          >
            {{ one }}
          </button>
        }
      </div>
    }
    <div class="row" role="group" aria-label="Figure">
      @for (one of change().series; track one.followed) {
        <button
          class="tap"
          type="button"
          [attr.aria-pressed]="followed() === one.followed"
          [disabled]="one.measured.length === 0"
          (click)="followed.set(one.followed)"
        >
          {{ labels[one.followed] }}
        </button>
      }
    </div>
    @if (shown().measured.length > 0) {
      <div class="chart" echarts [options]="options()" role="img" [attr.aria-label]="told()"></div>
      <p class="told">{{ told() }}</p>
    } @else {
      <p class="told">{{ labels[followed()] }} of the {{ foot() }} was not measured yet.</p>
    }
    <p class="growth">{{ growthText() }}</p>
    <cr-day-field label="Likely measures on" [day]="day()" (changed)="day.set($event)" />
    <table>
      <caption>
        For a shoe made ahead
        <small>nine times out of ten between the two</small>
      </caption>
      <tbody>
        @for (row of likely(); track row.followed) {
          <tr [attr.data-followed]="row.followed">
            <th scope="row">{{ labels[row.followed] }}</th>
            @if (row.value) {
              <td>{{ row.value }}</td>
              <td class="span">{{ row.low }} to {{ row.high }}</td>
            } @else {
              <td colspan="2" class="span">{{ row.lacks }}</td>
            }
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: block;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      margin-bottom: 8px;
    }
    .chart {
      height: 260px;
    }
    .told {
      font-size: 0.95rem;
    }
    .growth {
      margin: 4px 0 10px;
      font-size: 0.95rem;
    }
    cr-day-field {
      max-width: 15rem;
    }
    table {
      width: 100%;
      max-width: 460px;
      margin-top: 8px;
      border-collapse: collapse;
    }
    caption {
      padding: 4px 0;
      font-weight: 650;
      text-align: left;
    }
    caption small {
      font-weight: 400;
      color: var(--ink-soft);
    }
    th,
    td {
      padding: 5px 4px;
      font-weight: 500;
      text-align: right;
      border-top: 1px solid var(--rule);
    }
    th {
      padding-left: 0;
      text-align: left;
    }
    td {
      font-weight: 650;
    }
    .span {
      font-size: 0.9rem;
      font-weight: 400;
      color: var(--ink-soft);
    }
  `,
})
export class ChangeChart {
  readonly history = input.required<History>()
  readonly cycleWeeks = input.required<number>()
  /** Today, `2026-11-23`. */
  readonly today = input.required<string>()
  /** One foot; where none is given it can be chosen here. */
  readonly side = input<Side | undefined>()

  protected readonly text = inject(FigureText)
  protected readonly sides = SIDES
  protected readonly labels = LABELS
  protected readonly chosenSide = signal<Side>('LF')
  protected readonly foot = computed(() => this.side() ?? this.chosenSide())
  protected readonly followed = signal<Followed>('width')
  protected readonly change = computed(() => changeOf(this.history(), this.foot()))
  protected readonly shown = computed(() =>
    this.change().series.find((one) => one.followed === this.followed())!,
  )
  protected readonly day = linkedSignal(() =>
    formatISO(addWeeks(parseISO(this.today()), this.cycleWeeks()), { representation: 'date' }),
  )

  protected readonly told = computed(() => {
    const { measured, trend, followed } = this.shown()
    const label = LABELS[followed]
    const last = measured.at(-1)!
    const now = `${label} ${this.write(followed, last.value)} on ${longDay(last.date)}.`
    if (!trend) return `${now} Three visits are needed to say how it changes.`
    const sure = Math.abs(trend.perWeek) > trend.perWeekSpread
    const a = (value: number, signed = true) => this.fine(followed, value, signed)
    const rate = `${a(trend.perWeek * WEEKS_A_YEAR)} a year, give or take ${a(trend.perWeekSpread * WEEKS_A_YEAR, false)}`
    return `${now} ${sure ? `It changes by ${rate}` : `No sure change: ${rate}`}, over ${trend.count} visits.`
  })

  protected readonly growthText = computed(() => {
    const { growth } = this.change()
    if (!growth)
      return 'Growth of the wall: write down the toe length before the trim at each visit, and after it.'
    const spread =
      growth.spread === undefined
        ? ''
        : `, give or take ${this.fine('length', growth.spread * TOLD_OVER, false)}`
    return `The wall grows ${this.fine('length', growth.perWeek * TOLD_OVER, false)} over four weeks${spread} (${growth.cycles} ${growth.cycles === 1 ? 'cycle' : 'cycles'}).`
  })

  protected readonly likely = computed(() =>
    this.change().series.map(({ followed, trend, measured }) => {
      const lacks = measured.length === 0 ? 'not measured' : 'needs three visits'
      if (!trend) return { followed, lacks }
      const { value, low, high } = trend.at(this.day())
      const write = (n: number) => this.write(followed, n)
      return { followed, value: write(value), low: write(low), high: write(high) }
    }),
  )

  protected readonly options = computed(() => {
    // Colours follow the scheme; the unit follows its switch.
    const step = this.followed() === 'proportion' ? 1 : this.text.step(this.kindOf(this.followed()))
    return chartOptions(this.shown(), this.day(), step, (value) => this.write(this.followed(), value))
  })

  protected write(followed: Followed, value: number): string {
    if (followed === 'proportion') return `${value.toFixed(0)} %`
    return this.text.figure(value, this.kindOf(followed))
  }

  private kindOf = (followed: Followed) => (followed.endsWith('Angle') ? 'angle' : 'length')

  /** A change by the week is finer than any rule shows. */
  private fine(followed: Followed, value: number, signed = true): string {
    const written = this.text.fine(value)
    const sign = value > 0 && signed && !written.startsWith('under') ? '+' : ''
    if (followed === 'proportion') return `${sign}${value.toFixed(2)} %`
    if (followed.endsWith('Angle')) return `${sign}${value.toFixed(2)}°`
    return sign + written
  }
}

/** Points at the visits, the line through them, and the stretch in which a figure will likely lie from the last visit on. */
function chartOptions(
  { measured, trend }: Series,
  day: string,
  step: number,
  write: (value: number) => string,
) {
  const ink = inkColours()
  const last = measured.at(-1)!.date
  const ahead = trend && day > last ? [last, middleDay(last, day), day] : []
  const at = ahead.map((date) => ({ date, ...trend!.at(date) }))
  const ends = trend ? [measured[0]!.date, day > last ? day : last] : []
  const values = [...measured.map(({ value }) => value), ...at.flatMap(({ low, high }) => [low, high])]
  return {
    ...chartFrame(ink, values, step, write),
    series: [
      {
        type: 'line' as const,
        stack: 'likely',
        data: at.map(({ date, low }) => [date, low]),
        symbol: 'none',
        lineStyle: { opacity: 0 },
        silent: true,
      },
      {
        type: 'line' as const,
        stack: 'likely',
        data: at.map(({ date, low, high }) => [date, high - low]),
        symbol: 'none',
        lineStyle: { opacity: 0 },
        areaStyle: { color: ink.ember, opacity: 0.18 },
        silent: true,
      },
      {
        type: 'line' as const,
        data: ends.map((date) => [date, trend!.at(date).value]),
        symbol: 'none',
        lineStyle: { color: ink.ember, width: 2, type: 'dashed' as const },
        silent: true,
      },
      measuredLine(ink, measured),
    ],
  }
}

const middleDay = (from: string, to: string): string =>
  formatISO(new Date((Date.parse(from) + Date.parse(to)) / 2), { representation: 'date' })
