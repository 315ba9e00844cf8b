import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import type { TriesOverTime } from '@crescent/core/anvil'
import { BarChart, LineChart } from 'echarts/charts'
import { AriaComponent, GridComponent, TooltipComponent } from 'echarts/components'
import * as echarts from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { NgxEchartsDirective, provideEchartsCore } from 'ngx-echarts'
import { firstValueFrom } from 'rxjs'
import { inkColours } from '../../../change/ink-colours'
import { AsyncState } from '../../../common/async-state'
import { FigureText } from '../../../drawing/figure-text'
import { Api, failureText } from '../../../state/api'
import { HALVES } from '@crescent/core'

echarts.use([BarChart, LineChart, GridComponent, TooltipComponent, AriaComponent, SVGRenderer])

/** The most frequent kinds that are drawn. */
const DRAWN = 6

/** A shape that is off by less than this on the average is right, mm. */
const RIGHT = 0.8

/** Usual corrections over all horses: their kinds, the usual error of first shapes, minutes a shoe. */
@Component({
  selector: 'cr-tries-view',
  imports: [AsyncState, NgxEchartsDirective],
  providers: [provideEchartsCore({ echarts })],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (over(); as all) {
      @if (all.tries === 0) {
        <p class="note">
          Nothing is logged yet. Log each try beside the drawing: after some shoes it is told here what comes
          back.
        </p>
      } @else {
        <div class="page" role="region" tabindex="0" aria-label="Usual corrections">
          <section>
            <h3>Bends that come back</h3>
            <p>{{ mostWords() }}</p>
            @if (all.kinds.length > 0) {
              <div class="chart" echarts [options]="kinds()" role="img" [attr.aria-label]="mostWords()"></div>
            }
          </section>
          <section>
            <h3>First shapes</h3>
            <ul data-testid="first-shapes">
              @for (words of firstWords(); track words) {
                <li>{{ words }}</li>
              }
            </ul>
            <div
              class="chart low"
              echarts
              [options]="firsts()"
              role="img"
              aria-label="How far the heels of first shapes had to go, outer and inner branch"
            ></div>
          </section>
          <section>
            <h3>Minutes a shoe</h3>
            <p>{{ minuteWords() }}</p>
            @if (timed().length > 1) {
              <div
                class="chart"
                echarts
                [options]="minutes()"
                role="img"
                [attr.aria-label]="minuteWords()"
              ></div>
            }
          </section>
          <p class="muted">{{ all.shoes }} shoes tried on in the last two years, {{ all.tries }} tries.</p>
        </div>
      }
    } @else {
      <cr-async-state [failure]="failure()" (again)="read()" />
    }
  `,
  styleUrl: '../shoe/views.scss',
  styles: `
    .page {
      max-width: 720px;
      padding: 4px 2px 16px;
      overflow: auto;
    }
    h3 {
      margin: 10px 0 2px;
      font-size: 1.05rem;
    }
    p {
      margin: 2px 0 4px;
    }
    ul {
      margin: 2px 0;
      padding-left: 1.2em;
    }
    .chart {
      height: 190px;
    }
    .low {
      height: 110px;
    }
  `,
})
export class TriesView {
  private readonly api = inject(Api)
  private readonly text = inject(FigureText)
  protected readonly over = signal<TriesOverTime | undefined>(undefined)
  protected readonly failure = signal('')

  constructor() {
    void this.read()
  }

  protected async read(): Promise<void> {
    this.failure.set('')
    try {
      this.over.set(await firstValueFrom(this.api.triesOverTime()))
    } catch (error) {
      this.failure.set(failureText(error))
    }
  }

  private readonly named = computed(() =>
    (this.over()?.kinds ?? []).map(({ branch, at, opens, count, usual }) => ({
      name: `${opens ? 'open' : 'close'} the ${branch === 'lateral' ? 'outer' : 'inner'} ${at}`,
      ...{ count, usual },
    })),
  )

  protected readonly mostWords = computed(() => {
    const [first] = this.named()
    if (!first) return 'No bend was needed yet.'
    const times = first.count === 1 ? 'once' : `${first.count} times`
    return `Most often: ${first.name}, ${times}, by some ${this.text.figure(first.usual, 'angle')}.`
  })

  protected readonly firstWords = computed(() => {
    const over = this.over()
    if (!over) return []
    return HALVES.map((branch) => {
      const { shoes, mean, spread } = over.first[branch]
      const whose = branch === 'lateral' ? 'Outer' : 'Inner'
      const by = this.text.fine(Math.abs(mean))
      const off =
        Math.abs(mean) < RIGHT
          ? 'right on the average'
          : `${by} too ${mean > 0 ? 'tight' : 'wide'} on the average`
      const sure = spread === undefined ? '' : `, give or take ${this.text.fine(spread)}`
      return `${whose} branch: its heel ${off}${sure}, over ${shoes} ${shoes === 1 ? 'shoe' : 'shoes'}.`
    })
  })

  /** How far each heel had to go on the average, minus inward, with the spread as a line through its end. */
  protected readonly firsts = computed(() => {
    const ink = inkColours()
    const first = this.over()?.first
    const rows = (['medial', 'lateral'] as const).map((branch) => ({
      name: branch === 'lateral' ? 'outer heel' : 'inner heel',
      mean: first?.[branch].mean ?? 0,
      spread: first?.[branch].spread ?? 0,
    }))
    const label = (value: number) => (value === 0 ? 'right' : this.text.fine(value))
    return {
      ...base(ink),
      grid: { ...base(ink).grid, left: 30 },
      xAxis: {
        type: 'value' as const,
        ...axis(ink),
        axisLabel: { ...axis(ink).axisLabel, formatter: label },
      },
      yAxis: { type: 'category' as const, data: rows.map(({ name }) => name), ...axis(ink) },
      series: [
        {
          type: 'bar' as const,
          data: rows.map(({ mean }) => mean),
          itemStyle: { color: ink.construct },
          barMaxWidth: 14,
          silent: true,
        },
        ...rows.map(({ name, mean, spread }) => ({
          type: 'line' as const,
          data: [
            [mean - spread, name],
            [mean + spread, name],
          ],
          symbol: 'none',
          lineStyle: { color: ink.ember, width: 2 },
          silent: true,
        })),
      ],
    }
  })

  protected readonly timed = computed(() =>
    (this.over()?.months ?? []).flatMap(({ month, minutes }) =>
      minutes === undefined ? [] : [{ month, minutes }],
    ),
  )
  protected readonly minuteWords = computed(() => {
    const last = this.timed().at(-1)
    if (!last) return 'Nobody took the time yet.'
    const walks = this.over()!.months.at(-1)!.walks
    return `The last month that was timed: ${Math.round(last.minutes)}, with ${walks.toFixed(1)} walks a shoe.`
  })

  protected readonly kinds = computed(() => {
    const ink = inkColours()
    const rows = this.named().slice(0, DRAWN).reverse()
    return {
      ...base(ink),
      // Names are longer than the drawing takes them for before its letters are there.
      grid: { ...base(ink).grid, left: 30 },
      xAxis: { type: 'value' as const, minInterval: 1, ...axis(ink) },
      yAxis: { type: 'category' as const, data: rows.map(({ name }) => name), ...axis(ink) },
      series: [
        {
          type: 'bar' as const,
          data: rows.map(({ count }) => count),
          itemStyle: { color: ink.construct },
          barMaxWidth: 16,
        },
      ],
    }
  })

  protected readonly minutes = computed(() => {
    const ink = inkColours()
    return {
      ...base(ink),
      xAxis: { type: 'category' as const, data: this.timed().map(({ month }) => month), ...axis(ink) },
      yAxis: { type: 'value' as const, min: 0, ...axis(ink) },
      series: [
        {
          type: 'line' as const,
          data: this.timed().map(({ minutes }) => minutes),
          symbol: 'diamond',
          symbolSize: 9,
          itemStyle: { color: ink.ember },
          lineStyle: { color: ink.ember, width: 1.6 },
        },
      ],
    }
  })
}

type Ink = ReturnType<typeof inkColours>

const base = (ink: Ink) => ({
  animation: false,
  aria: { enabled: false },
  grid: { left: 8, right: 20, top: 10, bottom: 4, containLabel: true },
  tooltip: { trigger: 'item' as const, backgroundColor: ink.sheet, textStyle: { color: ink.ink } },
})

const axis = (ink: Ink) => ({
  axisLine: { lineStyle: { color: ink.rule } },
  axisLabel: { color: ink.soft, fontFamily: 'inherit', fontSize: 12, hideOverlap: true },
  splitLine: { lineStyle: { color: ink.line } },
})
