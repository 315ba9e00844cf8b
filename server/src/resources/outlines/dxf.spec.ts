import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import type { Vec } from '@crescent/core'
import { readOutlines, Unreadable } from '@crescent/core/formats'
import { nearestAlong } from '@crescent/core/photographs'

// Files of a program that nobody here wrote, and what they look like as it says itself.
const FOLDER = join(import.meta.dirname, '../../../../core/src/testing/drawings')
const text = (name: string) => readFileSync(join(FOLDER, name), 'utf8')
const expected = JSON.parse(text('expected.json')) as Record<string, Vec[][]>
const linesOf = (name: string) =>
  readOutlines(`${name}.dxf`, text(`${name}.dxf`)).curves.map(({ points, closed }) =>
    closed ? [...points, points[0]!] : points,
  )
const refusal = (name: string): string => {
  try {
    readOutlines(`${name}.dxf`, text(`${name}.dxf`))
    return ''
  } catch (error) {
    if (error instanceof Unreadable) return error.message
    throw error
  }
}

describe('a DXF of another program', () => {
  it.each(Object.keys(expected))('comes in as it is seen there: %s', (name) => {
    const [read, meant] = [linesOf(name), expected[name]!]
    expect(read).toHaveLength(meant.length)
    const off = (point: Vec, lines: readonly (readonly Vec[])[]) =>
      Math.min(...lines.map((line) => nearestAlong(line, point).off))
    for (const point of meant.flat()) expect(off(point, read)).toBeLessThan(0.02)
    // And nothing else: what was read lies within what was meant.
    const all = meant.flat()
    const box = [0, 1].map((axis) => {
      const values = all.map((point) => point[axis as 0 | 1])
      return [Math.min(...values) - 1.5, Math.max(...values) + 1.5] as const
    })
    for (const point of read.flat())
      box.forEach(([low, high], axis) => {
        expect(point[axis as 0 | 1]).toBeGreaterThan(low)
        expect(point[axis as 0 | 1]).toBeLessThan(high)
      })
  })

  it('keeps to the circle that its weights make', () => {
    for (const [x, y] of linesOf('rational-circle')[0]!)
      expect(Math.abs(Math.hypot(x - 10, y - 20) - 50)).toBeLessThan(0.01)
  })

  it('is read in the unit it says, or refused by it', () => {
    for (const name of ['mils', 'decimetres', 'microns']) {
      expect(readOutlines(`${name}.dxf`, text(`${name}.dxf`)).questions).toEqual([])
      for (const [x, y] of linesOf(name)[0]!) expect(Math.hypot(x, y)).toBeCloseTo(50.8, 2)
    }
    expect(refusal('kilometres')).toContain('a unit that no foot is measured in')
  })

  it('that cannot be drawn as it is meant is refused by what it is', () => {
    expect(refusal('tilted')).toContain('tilted plane')
    expect(refusal('fit-points')).toContain('points it runs through')
    expect(refusal('all-off')).toContain('layers are off')
  })
})
