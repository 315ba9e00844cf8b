import { LineChart } from 'echarts/charts'
import { AriaComponent, GridComponent, TooltipComponent } from 'echarts/components'
import * as echarts from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { shortDay } from '../common/today'
import type { inkColours } from './ink-colours'

echarts.use([LineChart, GridComponent, TooltipComponent, AriaComponent, SVGRenderer])
export { echarts }

type Ink = ReturnType<typeof inkColours>
/** A figure on a day. */
export interface Dated {
  date: string
  value: number
}

/**
 * What a chart of a figure over days stands in: its axes, and what is told of a place that is pointed at.
 *
 * @param values all that must be seen
 * @param step what a rule shows: a line of the axis falls on it
 */
export function chartFrame(ink: Ink, values: number[], step: number, write: (value: number) => string) {
  const axis = {
    axisLine: { lineStyle: { color: ink.rule } },
    axisLabel: { color: ink.soft, fontFamily: 'inherit', fontSize: 12, hideOverlap: true },
    splitLine: { lineStyle: { color: ink.line } },
  }
  return {
    animation: false,
    aria: { enabled: false },
    grid: { left: 8, right: 16, top: 12, bottom: 4, containLabel: true },
    tooltip: {
      trigger: 'item' as const,
      backgroundColor: ink.sheet,
      textStyle: { color: ink.ink },
      formatter: ({ value }: { value: [string, number] }) =>
        `${shortDay(value[0])}: <b>${write(value[1])}</b>`,
    },
    xAxis: { type: 'time' as const, ...axis },
    yAxis: {
      type: 'value' as const,
      ...ticks(values, step),
      ...axis,
      axisLabel: { ...axis.axisLabel, formatter: (value: number) => write(value) },
    },
  }
}

/** What was measured, from visit to visit. */
export const measuredLine = (ink: Ink, measured: readonly Dated[]) => ({
  type: 'line' as const,
  data: measured.map(({ date, value }) => [date, value]),
  symbol: 'diamond',
  symbolSize: 10,
  itemStyle: { color: ink.construct },
  lineStyle: { color: ink.construct, width: 1.4 },
})

/** Ends and steps of an axis that fall on what a rule shows: sixteenths of an inch, halves of a millimetre. */
function ticks(values: number[], step: number): { min: number; max: number; interval: number } {
  const low = Math.min(...values)
  const high = Math.max(...values)
  let interval = step
  while ((high - low) / interval > 6) interval *= 2
  return { min: Math.floor(low / interval) * interval, max: Math.ceil(high / interval) * interval, interval }
}
