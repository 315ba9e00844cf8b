import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { NgxEchartsDirective, provideEchartsCore } from 'ngx-echarts'
import { shortDay } from '../common/today'
import { FigureText } from '../drawing/figure-text'
import { chartFrame, echarts, measuredLine, type Dated } from './chart-frame'
import { inkColours } from './ink-colours'

/** One figure over the days on which it was read. */
@Component({
  selector: 'cr-figure-chart',
  imports: [NgxEchartsDirective],
  providers: [provideEchartsCore({ echarts })],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="chart" echarts [options]="options()" role="img" [attr.aria-label]="told()"></div>`,
  styles: `
    :host {
      display: block;
    }
    .chart {
      height: 200px;
    }
  `,
})
export class FigureChart {
  readonly label = input.required<string>()
  readonly points = input.required<readonly Dated[]>()
  readonly write = input.required<(value: number) => string>()
  /** What a line of the axis falls on, in the unit of the figure. */
  readonly kind = input.required<'length' | 'angle' | 'share'>()

  private readonly text = inject(FigureText)
  protected readonly told = computed(
    () =>
      `${this.label()}: ${this.points()
        .map(({ date, value }) => `${this.write()(value)} on ${shortDay(date)}`)
        .join(', ')}`,
  )
  protected readonly options = computed(() => {
    const kind = this.kind()
    const step = kind === 'share' ? 0.02 : this.text.step(kind)
    const ink = inkColours()
    const values = this.points().map(({ value }) => value)
    return { ...chartFrame(ink, values, step, this.write()), series: [measuredLine(ink, this.points())] }
  })
}
