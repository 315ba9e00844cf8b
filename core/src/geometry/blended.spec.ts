import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { blended } from './blended'

const anyStops = fc
  .array(
    fc.tuple(fc.double({ min: 0.05, max: 1, noNaN: true }), fc.double({ min: 5, max: 40, noNaN: true })),
    {
      minLength: 2,
      maxLength: 6,
    },
  )
  .map((steps) => {
    let at = 0
    return steps.map(([step, figure]) => [(at += step), figure] as const)
  })

describe('a blended figure', () => {
  it('runs through its stops, level beyond them', () => {
    const web = blended([
      [0, 30],
      [0.6, 16],
      [1, 12],
    ])
    expect([-1, 0, 0.6, 1, 2].map(web)).toEqual([30, 30, 16, 12, 12])
  })

  it('has no corner anywhere, and never leaves the stops beside it', () =>
    fc.assert(
      fc.property(anyStops, fc.double({ min: 0, max: 1, noNaN: true }), (stops, share) => {
        const figure = blended(stops)
        const [first, last] = [stops[0]![0], stops[stops.length - 1]![0]]
        const at = first + (last - first) * share
        const next = Math.max(
          1,
          stops.findIndex(([place]) => place >= at),
        )
        const [a, b] = [stops[next - 1]![1], stops[next]![1]]
        expect(figure(at)).toBeGreaterThanOrEqual(Math.min(a, b) - 1e-9)
        expect(figure(at)).toBeLessThanOrEqual(Math.max(a, b) + 1e-9)
        for (const [place] of stops) {
          const step = 1e-6
          const before = (figure(place) - figure(place - step)) / step
          const after = (figure(place + step) - figure(place)) / step
          expect(Math.abs(after - before)).toBeLessThan(0.2)
        }
      }),
    ))
})
