import { describe, expect, it } from 'vitest'
import { widestPart } from './widest-part'

describe('widestPart', () => {
  it('says nothing from nothing and asks for a second look from one', () => {
    expect(widestPart({})).toMatchObject({ estimates: [] })
    const one = widestPart({ barsFromToe: 60 })
    expect(one.agreed).toBeUndefined()
    expect(one.verdict).toContain('a second way')
  })

  it('puts the first estimate an inch behind the true apex', () => {
    expect(widestPart({ frogApex: 36 }).estimates).toEqual([
      { way: 'apex', label: 'an inch behind the true apex', fromToe: 61.4 },
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
    expect(seen.odd).toBeUndefined()
  })

  it('takes the nearer pair where the middle one agrees with both sides', () => {
    const seen = widestPart({ frogApex: 30, barsFromToe: 60, arcFromToe: 64 })
    expect(seen.agreed).toBeCloseTo(62, 9)
    expect(seen.odd?.way).toBe('apex')
  })

  it('asks for another look after trimming where no two agree', () => {
    const seen = widestPart({ frogApex: 30, barsFromToe: 66, arcFromToe: 75 })
    expect(seen.agreed).toBeUndefined()
    expect(seen.verdict).toContain('trim')
  })
})
