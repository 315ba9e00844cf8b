import fc from 'fast-check'
import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import { t90 } from './t-quantiles'
import { trend, type Measured } from './trend'

const day = (n: number): string => new Date(Date.UTC(2026, 0, 1) + n * 86_400_000).toISOString().slice(0, 10)
const series = (points: [number, number][]): Measured[] =>
  points.map(([n, value]) => ({ date: day(n), value }))

describe('trend', () => {
  it('says nothing from two figures, or from one day', () => {
    expect(
      trend(
        series([
          [0, 1],
          [40, 2],
        ]),
      ),
    ).toBeUndefined()
    expect(
      trend(
        series([
          [0, 1],
          [0, 2],
          [0, 3],
        ]),
      ),
    ).toBeUndefined()
  })

  it('finds a straight line exactly, without scatter', () => {
    const line = trend(
      series([
        [0, 120],
        [49, 121],
        [98, 122],
        [147, 123],
      ]),
    )!
    expect(line.perWeek).toBeCloseTo(1 / 7, 9)
    expect(line.scatter).toBeCloseTo(0, 9)
    expect(line.at(day(196)).value).toBeCloseTo(124, 9)
    expect(line.at(day(196)).high - line.at(day(196)).low).toBeCloseTo(0, 6)
  })

  it('agrees with a statistics library on slope, its spread and the interval of a new figure', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.integer({ min: 0, max: 1100 }), fc.double({ min: 100, max: 140, noNaN: true })),
          {
            minLength: 4,
            maxLength: 28,
          },
        ),
        (points) => {
          fc.pre(new Set(points.map(([n]) => n)).size > 2)
          // Where all are equal the library divides nothing by nothing.
          fc.pre(new Set(points.map(([, value]) => value)).size > 1)
          const line = trend(series(points))!
          const model = jstat.models.ols(
            points.map(([, value]) => value),
            points.map(([n]) => [1, n]),
          )
          const [intercept, slope] = model.coef as [number, number]
          const se = model.t.sigmaHat
          expect(line.perWeek / 7).toBeCloseTo(slope, 6)
          expect(line.scatter).toBeCloseTo(se, 6)
          const t = jstat.studentt.inv(0.95, points.length - 2)
          const mean = jstat.mean(points.map(([n]) => n))
          const sxx = points.reduce((sum, [n]) => sum + (n - mean) ** 2, 0)
          expect(line.perWeekSpread / 7).toBeCloseTo((t * se) / Math.sqrt(sxx), 3)
          const there = line.at(day(1200))
          expect(there.value).toBeCloseTo(intercept + slope * 1200, 5)
          const half = t * se * Math.sqrt(1 + 1 / points.length + (1200 - mean) ** 2 / sxx)
          // Points almost in one line leave a spread of rounding only.
          expect(Math.abs((there.high - there.low) / 2 - half)).toBeLessThan(half * 2e-3 + 1e-4)
        },
      ),
      { numRuns: 60 },
    ))

  it('knows Student’s t as the library does, in the table and beyond it', () => {
    for (const freedom of [...Array(30).keys()].map((i) => i + 1).concat(31, 45, 80, 200))
      expect(t90(freedom)).toBeCloseTo(jstat.studentt.inv(0.95, freedom), 2)
  })
})
