import { describe, expect, it } from 'vitest'
import { spreadLabels } from './spread-labels'

describe('labels along the bar', () => {
  const clear = (at: number[], widths: number[]) =>
    at.every((x, i) => i === 0 || x - at[i - 1]! >= (widths[i]! + widths[i - 1]!) / 2)

  it('stay where they are while there is room', () =>
    expect(
      spreadLabels(
        [
          { at: 20, width: 10 },
          { at: 60, width: 10 },
        ],
        0,
        100,
      ),
    ).toEqual([20, 60]))

  it('are set apart where they crowd, at either end too, and keep their order', () => {
    for (const places of [
      [10, 12, 14, 90],
      [10, 88, 90, 92],
      [40, 40, 40, 40],
      [5, 6, 94, 95],
    ]) {
      const widths = [18, 14, 18, 12]
      const placed = spreadLabels(
        places.map((at, i) => ({ at, width: widths[i]! })),
        0,
        100,
      )
      expect(clear(placed, widths), String(places)).toBe(true)
      expect(placed[0]! - 9).toBeGreaterThanOrEqual(-1e-9)
      expect(placed[3]! + 6).toBeLessThanOrEqual(100 + 1e-9)
    }
  })
})
