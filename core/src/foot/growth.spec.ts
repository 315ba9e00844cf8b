import { describe, expect, it } from 'vitest'
import { seriesOf, wallGrowth, type DatedFoot } from './growth'

describe('wallGrowth', () => {
  it('is what grew between leaving and finding, by the week', () => {
    // 12 mm in 6 weeks and 15 mm in 6 weeks.
    const growth = wallGrowth([
      { from: '2026-01-01', to: '2026-02-12', left: 80, found: 92 },
      { from: '2026-02-12', to: '2026-03-26', left: 80, found: 95 },
    ])!
    expect(growth.perWeek).toBeCloseTo(2.25, 9)
    expect(growth.spread).toBeCloseTo(Math.SQRT1_2 * 0.5, 9)
    expect(growth.cycles).toBe(2)
  })
  it('has no spread from one cycle and nothing from none', () => {
    expect(
      wallGrowth([{ from: '2026-01-01', to: '2026-02-12', left: 80, found: 92 }])!.spread,
    ).toBeUndefined()
    expect(wallGrowth([])).toBeUndefined()
    expect(wallGrowth([{ from: '2026-01-01', to: '2026-01-01', left: 80, found: 92 }])).toBeUndefined()
  })
})

describe('seriesOf', () => {
  const foot = (date: string, width: number, assumed: string[] = []): DatedFoot => ({
    date,
    foot: { width, length: 127, heelWidth: 88, toeAngle: 52, heelAngle: 50, widestFromToe: 60 },
    assumed,
  })
  const feet = [
    foot('2026-05-01', 126),
    foot('2026-01-01', 124, ['heelAngle', 'widestFromToe']),
    foot('2026-03-01', 125),
  ]

  it('puts visits in order and leaves out what stood at a default', () => {
    const series = seriesOf(feet)
    const width = series.find(({ followed }) => followed === 'width')!
    expect(width.measured.map(({ value }) => value)).toEqual([124, 125, 126])
    expect(width.trend!.perWeek).toBeGreaterThan(0)
    expect(series.find(({ followed }) => followed === 'heelAngle')!.measured).toHaveLength(2)
    expect(series.find(({ followed }) => followed === 'heelAngle')!.trend).toBeUndefined()
  })
  it('counts as proportion what percent of the bearing lies ahead', () => {
    const { measured } = seriesOf(feet).find(({ followed }) => followed === 'proportion')!
    expect(measured[0]!.value).toBeCloseTo((100 * 60) / 127, 9)
  })
})
