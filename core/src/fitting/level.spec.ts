import { describe, expect, it } from 'vitest'
import { partAt, type BranchPart } from '../terms/trying'
import { CUP_STRIKES, levelWords } from './level'

/** A branch from toe to heel, as shares of it. */
const SHARES = Array.from({ length: 101 }, (_, i) => i / 100)

/** Heights of a branch above the ground as it stands, ground surface down, mm: highest or lowest in the middle of its quarter. */
const HOLLOW = SHARES.map((share) => 3 * Math.sin(Math.PI * share))
const BOWED = HOLLOW.map((height) => 3 - height)

/** Turned over, what was highest is lowest; it comes down on what is lowest. */
const laidOn = (heights: readonly number[], down: string): number[] => {
  const turned = down === 'ground surface' ? [...heights] : heights.map((height) => -height)
  const lowest = Math.min(...turned)
  return turned.map((height) => height - lowest)
}

/** A blow drives what it meets half the way to the face, and nothing beyond it. */
const struck = (heights: readonly number[], parts: readonly BranchPart[]): number[] =>
  heights.map((height, i) => (parts.includes(partAt(SHARES[i]!)) ? height / 2 : height))

const daylight = (heights: readonly number[]): number =>
  heights.reduce((sum, height) => sum + height, 0) / heights.length

describe('a shoe sighted for level', () => {
  it('has its twist told before its cup, and where to strike', () => {
    expect(levelWords(undefined, undefined)).toEqual([])
    const [twist, cup] = levelWords('outer heel up', 'rocks on its quarters')
    expect(twist).toMatch(/outer branch .*strike it down/)
    expect(cup).toMatch(/strike the toe/)
  })

  it.each([
    ['stands on toe and heels', HOLLOW],
    ['rocks on its quarters', BOWED],
  ] as const)('comes nearer to the face where it is struck as it is told: %s', (cup, heights) => {
    // It stands as it is called.
    const touching = SHARES.filter((_, i) => heights[i]! < 0.05).map(partAt)
    expect(new Set(touching)).toEqual(
      new Set(cup === 'stands on toe and heels' ? ['toe', 'heel'] : ['quarter']),
    )
    const { down, parts } = CUP_STRIKES[cup]
    const before = laidOn(heights, down)
    expect(daylight(struck(before, parts))).toBeLessThan(daylight(before) * 0.8)
    // Turned over, the same blows meet what lies on the face already.
    const over = laidOn(heights, down === 'ground surface' ? 'foot surface' : 'ground surface')
    expect(daylight(struck(over, parts))).toBeGreaterThan(daylight(over) * 0.8)
    const [words] = levelWords(undefined, cup)
    expect(words!.toLowerCase()).toContain(`${down} down`)
    for (const part of parts) expect(words).toContain(part)
  })
})
