import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatDifference, formatLength, inches, parseLength, roundLength, type LengthStyle } from './length'

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
