import { describe, expect, it } from 'vitest'
import { cotangent, degrees, formatAngle, parseAngle, radians } from './angle'
import { formatWeight } from './weight'

describe('angles', () => {
  it('reads what is typed', () => {
    expect(parseAngle('52')).toEqual({ ok: true, degrees: 52 })
    expect(parseAngle(' 52,5° ')).toEqual({ ok: true, degrees: 52.5 })
    expect(parseAngle('steep').ok).toBe(false)
    expect(parseAngle('').ok).toBe(false)
  })

  it('writes to half a degree', () => expect(formatAngle(52.26)).toBe('52.5°'))

  it('knows the exact cases', () => {
    expect(degrees(radians(37))).toBeCloseTo(37, 12)
    expect(cotangent(45)).toBeCloseTo(1, 12)
    expect(cotangent(90)).toBeCloseTo(0, 12)
  })
})

describe('formatWeight', () => {
  it('uses ounces beside inches and grams beside millimetres', () => {
    expect(formatWeight(283.49523125, 'in')).toBe('10.0 oz')
    expect(formatWeight(283.49523125, 'mm')).toBe('283 g')
  })
})
