import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { FootInput } from '../records/foot'
import { FIVE_BY_FIVE } from '../testing/samples'
import { anyFoot } from '../testing/any-foot'
import { asymmetry, compareOutlines } from './comparison'
import { readFoot } from './measurements'
import { footOutline } from './outline'

const outlineOf = (input: Partial<FootInput>) => {
  const read = readFoot({ ...FIVE_BY_FIVE, ...input })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return footOutline(read.value.foot)
}
const named = (differences: ReturnType<typeof compareOutlines>, region: string, half: string) =>
  differences.find((one) => one.region === region && one.half === half)!

describe('compareOutlines', () => {
  it('finds no difference between an outline and itself, for any foot', () =>
    fc.assert(
      fc.property(anyFoot, (foot) => {
        const outline = outlineOf(foot)
        for (const { most } of compareOutlines(outline, outline)) expect(Math.abs(most)).toBeLessThan(0.02)
      }),
      { numRuns: 40 },
    ))

  it('tells a longer toe at the toe and nowhere behind the widest part', () => {
    const longer = compareOutlines(
      outlineOf({ widestFromToe: 66, length: 133 }),
      outlineOf({ widestFromToe: 60, length: 127 }),
    )
    expect(named(longer, 'toe', 'lateral').most).toBeCloseTo(6, 1)
    expect(named(longer, 'toe', 'medial').most).toBeCloseTo(6, 1)
    expect(Math.abs(named(longer, 'heel', 'lateral').most)).toBeLessThan(0.05)
  })

  it('tells a flare on one side on that side, with its sign', () => {
    const flared = outlineOf({ width: 130, lateralHalfWidth: 66.5 })
    const plain = outlineOf({ width: 127, lateralHalfWidth: 63.5 })
    expect(named(compareOutlines(flared, plain), 'quarter', 'lateral').most).toBeCloseTo(3, 1)
    expect(named(compareOutlines(plain, flared), 'quarter', 'lateral').most).toBeCloseTo(-3, 1)
    expect(Math.abs(named(compareOutlines(flared, plain), 'quarter', 'medial').most)).toBeLessThan(0.05)
  })

  it('is about minus itself the other way round, for feet that differ a little', () =>
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), (more) => {
        const one = outlineOf({ width: 127 + more })
        const other = outlineOf({ width: 127 })
        const there = compareOutlines(one, other)
        const back = compareOutlines(other, one)
        there.forEach(({ mean }, i) => expect(mean + back[i]!.mean).toBeCloseTo(0, 1))
      }),
      { numRuns: 30 },
    ))
})

describe('asymmetry', () => {
  it('is nothing for an even foot', () => {
    for (const { most } of asymmetry(outlineOf({}))) expect(Math.abs(most)).toBeLessThan(0.02)
  })

  it('is the difference of the half-widths at the quarters', () => {
    const uneven = asymmetry(outlineOf({ width: 127, lateralHalfWidth: 66 }))
    expect(uneven).toHaveLength(4)
    // 66 against 61.
    expect(uneven.find(({ region }) => region === 'quarter')!.most).toBeCloseTo(5, 1)
  })
})

describe('the band between two outlines', () => {
  it('runs from one to the other over a whole stretch, its ends included, as wide as it says', () => {
    const one = outlineOf({})
    const other = outlineOf({ width: 131 })
    for (const { band, most, region } of compareOutlines(one, other)) {
      expect(band.length, region).toBeGreaterThanOrEqual(13)
      const wide = band.map(([a, b]) => Math.hypot(a[0] - b[0], a[1] - b[1]))
      expect(Math.max(...wide), region).toBeGreaterThan(Math.abs(most) - 0.05)
      expect(Math.max(...wide), region).toBeLessThan(Math.abs(most) + 0.3)
    }
    const ends = compareOutlines(one, other).map(({ band }) => [band[0]![0], band.at(-1)![0]] as const)
    // Stretch joins stretch: the toe of one half meets that of the other.
    const toes = ends.flat().filter(([x]) => Math.abs(x) < 0.5)
    expect(toes.length).toBeGreaterThanOrEqual(2)
  })
})
