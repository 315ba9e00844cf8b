import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FIVE_BY_FIVE } from '../testing/samples'
import { readFoot } from './measurements'
import { BEHIND_APEX, widestPart } from './widest-part'

describe('widestPart', () => {
  it('says nothing from nothing and asks for a second look from one', () => {
    expect(widestPart({})).toMatchObject({ estimates: [] })
    const one = widestPart({ barsFromToe: 60 })
    expect(one.agreed).toBeUndefined()
    expect(one.verdict).toContain('a second way')
  })

  it('puts the first estimate an inch behind the true apex', () => {
    expect(widestPart({ frogApex: 36 }).estimates).toEqual([
      { way: 'apex', label: 'behind the true apex', fromToe: 61.4 },
    ])
  })

  it('averages the two that agree within 6 mm and names the odd one', () => {
    const seen = widestPart({ frogApex: 36, barsFromToe: 64.4, arcFromToe: 78 })
    expect(seen.agreed).toBeCloseTo(62.9, 9)
    expect(seen.odd?.way).toBe('arc')
    expect(seen.verdict).toContain('the widest arc')
  })

  it('averages all three where all agree', () => {
    const seen = widestPart({ frogApex: 34.6, barsFromToe: 63, arcFromToe: 66 })
    expect(seen.agreed).toBeCloseTo(63, 9)
    expect(seen.confidence).toBeCloseTo(1, 9)
    expect(seen.odd).toBeUndefined()
  })

  it('takes the nearer pair where the middle one agrees with both sides', () => {
    const seen = widestPart({ frogApex: 30, barsFromToe: 60, arcFromToe: 64 })
    // 55.4, 60 and 64: gaps of 4.6 and 4 agree by 1.4 / 3 and 2 / 3.
    expect(seen.agreed).toBeCloseTo((55.4 * 1.4 + 60 * 2 + 64 * 2) / 5.4, 9)
    expect(seen.odd?.way).toBe('apex')
  })

  it('fades: no figure moves the widest part by more than a few times its own step', () => {
    const at = (frogApex: number, barsFromToe: number, arcFromToe: number) => {
      const read = readFoot({ ...FIVE_BY_FIVE, frogApex, barsFromToe, arcFromToe })
      if (!read.ok) throw new Error('not read')
      return read.value.foot.widestFromToe
    }
    expect(Math.abs(at(34.6, 66, 71.99) - at(34.6, 66, 72.01))).toBeLessThan(0.1)
    const figure = fc.double({ min: 50, max: 75, noNaN: true })
    fc.assert(
      fc.property(figure, figure, figure, (apex, bars, arc) => {
        expect(
          Math.abs(at(apex - BEHIND_APEX, bars, arc) - at(apex - BEHIND_APEX, bars, arc + 0.02)),
        ).toBeLessThan(0.25)
      }),
    )
  })

  it('asks for another look after trimming where no two agree', () => {
    const seen = widestPart({ frogApex: 30, barsFromToe: 66, arcFromToe: 75 })
    expect(seen.agreed).toBeUndefined()
    expect(seen.verdict).toContain('trim')
  })
})
