import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  formatDifference,
  formatLength,
  inches,
  isRounded,
  parseLength,
  roundLength,
  type LengthStyle,
} from './length'

const inch16: LengthStyle = { unit: 'in', denominator: 16 }
const inch32: LengthStyle = { unit: 'in', denominator: 32 }
const metric: LengthStyle = { unit: 'mm', denominator: 16 }

const read = (text: string, unit: 'in' | 'mm' = 'in'): number => {
  const parsed = parseLength(text, unit)
  if (!parsed.ok) throw new Error(parsed.message)
  return parsed.mm
}

describe('parseLength', () => {
  it.each([
    ['+076.20mm', 76.2],
    ['4 7/8', 123.825],
    ['4-7/8"', 123.825],
    ['4 - 7/8 in', 123.825],
    ['4⅞"', 123.825],
    ['4 7⁄8', 123.825],
    ['4.875 in', 123.825],
    ['4,875 in', 123.825],
    ['7/8', 22.225],
    ['.5', 12.7],
    ['4\' 2"', 1270],
    ["4' 2 1/2 in", 1282.7],
    ['4’ 2”', 1270],
    ['1 ft', 304.8],
    ['124 mm', 124],
    ['12.4 cm', 124],
    ['12.4cm', 124],
    ['-1/4', -6.35],
    ['0.3 m', 300],
  ])('reads %s', (text, mm) => expect(read(text)).toBeCloseTo(mm, 9))

  it('gives a bare number the current unit', () => {
    expect(read('5', 'in')).toBe(127)
    expect(read('5', 'mm')).toBe(5)
    expect(read('5 mm', 'in')).toBe(5)
  })

  it.each([
    '',
    '   ',
    'five',
    '4 7',
    '4/',
    '7/8/9',
    '4 7/0',
    '4mm 2',
    '2" 4\'',
    '4"4"',
    '1e3',
    '4 7/8 kg',
    '--4',
  ])('refuses “%s” with a message', (text) => {
    const parsed = parseLength(text, 'in')
    expect(parsed.ok).toBe(false)
    if (!parsed.ok) expect(parsed.message.length).toBeGreaterThan(8)
  })
})

describe('a slip of the hand', () => {
  const meant = (text: string, unit: 'in' | 'mm' = 'in') => {
    const parsed = parseLength(text, unit)
    return parsed.ok ? parsed.mm : parsed.meant
  }

  it.each([
    ['47/8', ['4 7/8']],
    ['47/8"', ['4 7/8"']],
    ['-21/2', ['-2 1/2']],
    ['113/16', ['11 3/16', '1 13/16']],
    ['9/8', ['1 1/8']],
    ['4 9/8', ['5 1/8']],
    ['4 8/8', ['5']],
    ['3/7', ['3/8']],
    ['4 5/13', ['4 5/16', '4 5/8']],
    ['2 1/3 in', ['2 1/2 in', '2 1/4 in']],
    ["4' 57/8 in", ["4' 5 7/8 in"]],
    ['0/8', ['0']],
  ])('%s is asked about', (text, expected) => {
    const found = meant(text)
    expect(Array.isArray(found)).toBe(true)
    expect(found).toEqual(expect.arrayContaining(expected))
    const parsed = parseLength(text, 'in')
    if (!parsed.ok) expect(parsed.message).toContain('did you mean')
  })

  it('never names what is asked about again', () => {
    fc.assert(
      fc.property(fc.nat({ max: 30 }), fc.nat({ max: 400 }), fc.integer({ min: 1, max: 130 }), (w, n, d) => {
        const parsed = parseLength(`${w} ${n}/${d}`, 'in')
        if (parsed.ok) {
          expect(n).toBeLessThan(d)
          return
        }
        for (const text of parsed.meant ?? []) expect(parseLength(text, 'in').ok).toBe(true)
      }),
    )
  })

  it('takes every fraction of a rule as it stands', () => {
    for (const d of [2, 4, 8, 16, 32, 64])
      for (let n = 1; n < d; n++) expect(meant(`3 ${n}/${d}`)).toBeCloseTo((3 + n / d) * 25.4, 9)
  })
})

describe('isRounded', () => {
  it('tells where more was given than is shown', () => {
    expect(isRounded(inches(4.3), inch16)).toBe(true)
    expect(isRounded(inches(4.3125), inch16)).toBe(false)
    expect(isRounded(inches(3.5), metric)).toBe(true)
    expect(isRounded(88.5, metric)).toBe(false)
  })
})

describe('formatLength', () => {
  it('writes fractions in lowest terms', () => {
    expect(formatLength(inches(4.875), inch16)).toBe('4 7/8"')
    expect(formatLength(inches(11.75), inch16)).toBe('11 3/4"')
    expect(formatLength(inches(0.5), inch16)).toBe('1/2"')
    expect(formatLength(inches(12), inch16)).toBe('12"')
    expect(formatLength(inches(3 / 32), inch32, false)).toBe('3/32')
    expect(formatLength(0, inch16)).toBe('0"')
  })

  it('writes millimetres to a half', () => {
    expect(formatLength(123.825, metric)).toBe('124 mm')
    expect(formatLength(123.6, metric)).toBe('123.5 mm')
    expect(formatLength(-0.1, metric)).toBe('0 mm')
  })

  it('writes a difference with its sign', () => {
    expect(formatDifference(inches(1 / 16), inch16)).toBe('+1/16"')
    expect(formatDifference(-2.5, metric)).toBe('-2.5 mm')
    expect(formatDifference(0.1, inch16)).toBe('0')
  })

  it('never drifts: what is written reads back as the rounded length, again and again', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -600, max: 600, noNaN: true }),
        fc.constantFrom(inch16, inch32, metric),
        (mm, style) => {
          const once = read(formatLength(mm, style), style.unit)
          const twice = read(formatLength(once, style), style.unit)
          expect(once).toBeCloseTo(roundLength(mm, style), 9)
          expect(twice).toBe(once)
        },
      ),
    )
  })
})
